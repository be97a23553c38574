package driftwood.read;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.read.ecmascript.EcmaReader;
import driftwood.read.sitter.SitterReader;
import driftwood.source.Language;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

class GrammarKindsTest {

    @TestFactory
    Stream<DynamicTest> everyKindOfEveryGrammarHasARuleOrIsExcepted() {
        return Stream.concat(Language.spoken().stream().map(each -> ((ReadLanguage) each).reader()), Stream.of(EcmaReader.ofMarkedTypeScript()))
                .filter(SitterReader.class::isInstance).map(SitterReader.class::cast).map(reader -> DynamicTest.dynamicTest(reader.getClass().getSimpleName(), () -> {
                    Set<String> forgotten = new TreeSet<>(reader.kinds());
                    forgotten.removeAll(reader.ruled());
                    assertThat(forgotten).isEmpty();
                    Set<String> unknown = new TreeSet<>(reader.ruled());
                    unknown.removeAll(reader.kinds());
                    assertThat(unknown).as("kinds that the grammar does not have").isEmpty();
                }));
    }
}
