package driftwood.behaviour.replay;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.Given;
import driftwood.behaviour.replay.Assembly.CannotMake;
import driftwood.behaviour.view.Ways;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.tree.TypeRef;
import driftwood.witness.Make;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class AssemblyTest {
    private static final String PARTS = "{'is':'quay.Berth','name':'A','depth':4}";

    private static Make make(String value, String declared, String... sources) throws JsonProcessingException {
        Program program = Given.scan("", sources).program();
        TypeOutline scope = program.types().iterator().next();
        return new Assembly(program, new Ways(program)).make(json(value), new TypeRef(declared), scope);
    }

    private static JsonNode json(String text) throws JsonProcessingException {
        return new ObjectMapper().readTree(text.replace('\'', '"'));
    }

    private static final Make NAME = new Make.Literal("String", "A");
    private static final Make DEPTH = new Make.Literal("int", "4");

    static Stream<Arguments> literals() {
        return Stream.of(Arguments.of("null", "Vessel", new Make.Literal("null", "")), Arguments.of("true", "boolean", new Make.Literal("boolean", "true")),
                Arguments.of("4", "int", DEPTH), Arguments.of("4", "long", new Make.Literal("long", "4")), Arguments.of("4", "Integer", DEPTH),
                Arguments.of("4", "Object", DEPTH), Arguments.of("4.5", "Number", new Make.Literal("double", "4.5")),
                Arguments.of("4.0", "float", new Make.Literal("float", "4.0")), Arguments.of("'A'", "String", NAME),
                Arguments.of("'x'", "char", new Make.Literal("char", "x")), Arguments.of("[4]", "int[]", new Make.Many("array", "int", List.of(DEPTH))),
                Arguments.of("[4]", "List<Integer>", new Make.Many("list", "", List.of(DEPTH))),
                Arguments.of("{'set':['A']}", "Set<String>", new Make.Many("set", "", List.of(NAME))),
                Arguments.of("{'optional':[]}", "Optional<String>", new Make.Many("optional", "", List.of())),
                Arguments.of("{'map':[['A',4]]}", "Map<String,Long>", new Make.Many("map", "", List.of(NAME, new Make.Literal("long", "4")))),
                Arguments.of("{'enum':'quay.Kind.TUG'}", "Kind", new Make.Constant("quay.Kind", "TUG")),
                Arguments.of("{'standIn':'java.lang.Runnable'}", "Runnable", new Make.StandIn("java.lang.Runnable")),
                Arguments.of("{'is':'java.time.LocalDate','text':'2026-03-01'}", "LocalDate", new Make.Call("java.time.LocalDate", List.of(), "parse",
                        List.of("CharSequence"), List.of(new Make.Literal("String", "2026-03-01")))));
    }

    @ParameterizedTest(name = "{0} as {1}")
    @MethodSource("literals")
    void valuesAreMadeForTheirDeclaredType(String value, String declared, Make made) throws JsonProcessingException {
        assertThat(make(value, declared, "package quay; enum Kind { TUG }")).isEqualTo(made);
    }

    @Test
    void aConstructorIsFoundByTheNamesOfItsParameters() throws JsonProcessingException {
        assertThat(make(PARTS, "Berth", "package quay; class Berth { Berth(int depth, String name) { } Berth(String name) { } }"))
                .isEqualTo(new Make.New("quay.Berth", List.of("int", "String"), List.of(DEPTH, NAME)));
    }

    @Test
    void aCreationRoutineServesAsWell() throws JsonProcessingException {
        assertThat(make(PARTS, "Berth", "package quay; class Berth { private Berth() { } static Berth of(String name, int depth) { return null; } }"))
                .isEqualTo(new Make.Call("quay.Berth", List.of(), "of", List.of("String", "int"), List.of(NAME, DEPTH)));
    }

    /** A collaborator that the class made by itself before and is handed now. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "a class that can be made of nothing | class Log { } | true",
        "one that hands out the one it has | class Log { private Log() { } static Log shared() { return null; } } | true",
        "one that takes parts | class Log { Log(String file) { } } | false",
        "an interface | interface Log { } | false",
        "another way to be made beside it | class Log { } class Book { Book() { } } | false"})
    void aCollaboratorThatIsHandedOverNow(String what, String log, boolean made) throws JsonProcessingException {
        String berth = "package quay; class Berth { Berth(String name, Log log, int depth) { } " + (log.contains("Book") ? "Berth(String name, int depth, Book book) { } " : "") + "} ";
        if (made) {
            assertThat(((Make.New) make(PARTS, "Berth", berth + log)).parameters()).containsExactly("String", "Log", "int");
        } else {
            assertThatThrownBy(() -> make(PARTS, "Berth", berth + log)).isInstanceOf(CannotMake.class).hasMessageContaining("take the parts name, depth");
        }
    }

    /** Parts that are handed over in an object now. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "a record of both | record Where(int depth, String name) { } class Berth { Berth(Where at) { } } | new quay.Berth(new quay.Where(4, A))",
        "a class of one, the other beside it | class Depth { Depth(int depth) { } } class Berth { Berth(String name, Depth below) { } } | new quay.Berth(A, new quay.Depth(4))",
        "a creation routine | record Where(int depth, String name) { } class Berth { private Berth() { } static Berth of(Where at) { return null; } } | quay.Berth.of(new quay.Where(4, A))",
        "a collaborator beside it | class Log { } record Where(int depth, String name) { } class Berth { Berth(Where at, Log log) { } } | new quay.Berth(new quay.Where(4, A), new quay.Log())",
        "a factory of its own | abstract class Berth { } class Berths { static Berth make(int depth, String name) { return null; } } | quay.Berths.make(4, A)",
        "two factories | abstract class Berth { } class Berths { static Berth make(int depth, String name) { return null; } static Berth old(String name, int depth) { return null; } } | none",
        "one that leaves a part over | record Where(int depth) { } class Berth { Berth(Where at) { } } | none",
        "one that takes more | record Where(int depth, String name, int berth) { } class Berth { Berth(Where at) { } } | none"})
    void anObjectOfPartsThatIsHandedOverNow(String what, String source, String told) throws JsonProcessingException {
        if (told.equals("none")) {
            assertThatThrownBy(() -> make(PARTS, "Berth", "package quay; " + source)).isInstanceOf(CannotMake.class);
        } else {
            assertThat(told(make(PARTS, "Berth", "package quay; " + source))).isEqualTo(told);
        }
    }

    private static String told(Make made) {
        if (made instanceof Make.New fresh) {
            return "new " + fresh.type() + "(" + String.join(", ", fresh.arguments().stream().map(AssemblyTest::told).toList()) + ")";
        }
        return made instanceof Make.Call call ? call.type() + "." + call.name() + "(" + String.join(", ", call.arguments().stream().map(AssemblyTest::told).toList()) + ")"
                : ((Make.Literal) made).text();
    }

    @Test
    void aBuilderTakesItsStepsByName() throws JsonProcessingException {
        Make made = make(PARTS, "Berth", """
                package quay;
                class Berth {
                    private Berth(Builder b) { }
                    static class Builder { Builder(String name) { } Builder withDepth(int d) { return this; } Berth build() { return null; } }
                }
                """);
        Make begun = new Make.New("quay.Berth$Builder", List.of("String"), List.of(NAME));
        Make.Call step = new Make.Call("quay.Berth$Builder", List.of(), "withDepth", List.of("int"), List.of(DEPTH));
        assertThat(made).isEqualTo(new Make.Call("quay.Berth$Builder", List.of(new Make.Configured(begun, List.of(step))), "build",
                List.of(), List.of()));
    }

    @Test
    void settersFillInWhatAConstructorLeaves() throws JsonProcessingException {
        Make.Call setter = new Make.Call("quay.Berth", List.of(), "setDepth", List.of("int"), List.of(DEPTH));
        assertThat(make(PARTS, "Berth", "package quay; class Berth { Berth(String name) { } void setDepth(int d) { } }"))
                .isEqualTo(new Make.Configured(new Make.New("quay.Berth", List.of("String"), List.of(NAME)), List.of(setter)));
    }

    @Test
    void overloadsWithTheSameNamesAreToldApartByTheValues() throws JsonProcessingException {
        String both = "package quay; class Berth { Berth(String name, int depth) { } Berth(String name, String depth) { } }";
        assertThat(make(PARTS, "Berth", both)).isEqualTo(new Make.New("quay.Berth", List.of("String", "int"), List.of(NAME, DEPTH)));
    }

    @Test
    void ambiguousWaysAreRefused() {
        assertThatThrownBy(() -> make(PARTS, "Berth", "package quay; class Berth { private Berth() { } static Berth wet(String name, int depth) "
                + "{ return null; } static Berth dry(String name, int depth) { return null; } }"))
                .isInstanceOf(CannotMake.class).hasMessage("quay.Berth can be made in 2 ways from the parts name, depth");
    }

    @Test
    void theCreationRoutineThatMadeItIsPreferred() throws JsonProcessingException {
        assertThat(make("{'is':'quay.Berth','by':'dry','name':'A','depth':4}", "Berth", "package quay; class Berth { private Berth() { } "
                + "static Berth wet(String name, int depth) { return null; } static Berth dry(String name, int depth) { return null; } }"))
                .isInstanceOfSatisfying(Make.Call.class, call -> assertThat(call.name()).isEqualTo("dry"));
    }

    @Test
    void whatIsGoneIsToldByName() {
        assertThatThrownBy(() -> make(PARTS, "Berth", "package quay; class Pier { }")).isInstanceOf(CannotMake.class)
                .hasMessage("there is no type quay.Berth in this project any more");
        assertThatThrownBy(() -> make(PARTS, "Berth", "package quay; class Berth { Berth(String title) { } }")).isInstanceOf(CannotMake.class)
                .hasMessageContaining("take the parts name, depth");
    }

    @Test
    void constructorsThatDifferInALibraryTypeAreToldApart() throws JsonProcessingException {
        String source = "package quay; class Stamp { Stamp(java.util.Date at) { } Stamp(java.time.Instant at) { } Stamp(String at) { } }";
        assertThat(make("{'is':'quay.Stamp','at':{'is':'java.util.Date','text':'1970-01-01T00:00:00Z'}}", "Stamp", source))
                .hasFieldOrPropertyWithValue("parameters", List.of("Date"));
        assertThat(make("{'is':'quay.Stamp','at':{'is':'java.time.Instant','text':'1970-01-01T00:00:00Z'}}", "Stamp", source))
                .hasFieldOrPropertyWithValue("parameters", List.of("Instant"));
        assertThat(make("{'is':'quay.Stamp','at':'noon'}", "Stamp", source)).hasFieldOrPropertyWithValue("parameters", List.of("String"));
    }

    private static final String DIAL = """
            package quay;
            class Dial {
                Dial(int step) { } Dial(long step) { } Dial(double step) { } Dial(char step) { } Dial(String step) { } Dial(boolean step) { }
                Dial(int[] step) { } Dial(Hand step) { } Dial(Object step) { }
            }
            interface Hand { }
            class Slim implements Hand { Slim(String tip) { } }
            enum Kind { TUG }
            """;

    @ParameterizedTest(name = "{0} means Dial({1})")
    @CsvSource(delimiter = '|', textBlock = """
            4                                | int
            40000000000                      | long
            4.5                              | double
            'x'                              | char
            'xy'                             | String
            true                             | boolean
            [4]                              | int[]
            {'is':'quay.Slim','tip':'A'}     | Hand
            {'standIn':'quay.Hand'}          | Hand
            {'enum':'quay.Kind.TUG'}         | Object
            """, quoteCharacter = '"')
    void anOverloadIsChosenAsTheCompilerDoes(String value, String parameter) throws JsonProcessingException {
        assertThat(make("{'is':'quay.Dial','step':" + value + "}", "Dial", DIAL))
                .hasFieldOrPropertyWithValue("parameters", List.of(parameter));
    }

    @Test
    void anOverloadedStepIsChosenByItsValues() throws JsonProcessingException {
        Make made = make("{'is':'quay.Log','then':[{'call':'add','given':['ab']},{'call':'add','given':[4]},{'call':'add','given':[null]}]}", "Log",
                "package quay; class Log { void add(int by) { } void add(String text) { } }");
        assertThat(made).isInstanceOfSatisfying(Make.Configured.class, log -> assertThat(log.calls())
                .extracting(step -> step.parameters().get(0)).containsExactly("String", "int", "String"));
    }
}
