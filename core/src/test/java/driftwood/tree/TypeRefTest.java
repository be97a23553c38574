package driftwood.tree;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class TypeRefTest {

    static Stream<Arguments> types() {
        return Stream.of(Arguments.of("Berth", "Berth", "Berth", List.of()),
                Arguments.of("quay.Berth", "quay.Berth", "Berth", List.of()),
                Arguments.of("Map<String,List<Berth>>", "Map", "Map", List.of("String", "List<Berth>")),
                Arguments.of("List<?extendsBerth>", "List", "List", List.of("Berth")),
                Arguments.of("List<?>", "List", "List", List.of("Object")),
                Arguments.of("Berth[]", "Berth", "Berth", List.of()), Arguments.of("", "", "", List.of()));
    }

    @ParameterizedTest(name = "type {0}")
    @MethodSource("types")
    void aTypeHasANameAndArguments(String text, String name, String simple, List<String> arguments) {
        TypeRef type = new TypeRef(text);
        assertThat(type.name()).isEqualTo(name);
        assertThat(type.simpleName()).isEqualTo(simple);
        assertThat(type.arguments()).extracting(TypeRef::text).isEqualTo(arguments);
    }

    @Test
    void arraysHaveElements() {
        assertThat(new TypeRef("int[][]").element()).isEqualTo(new TypeRef("int[]"));
        assertThat(new TypeRef("int").element()).isEqualTo(TypeRef.NONE);
        assertThat(TypeRef.NONE.isPresent()).isFalse();
    }
}
