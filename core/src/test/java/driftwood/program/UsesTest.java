package driftwood.program;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.program.Outline.CallFact;
import driftwood.program.Outline.CreationFact;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class UsesTest {
    private static final String OFFICE = """
            package quay;
            class Office {
                private final Roster roster = new Roster();
                Office(String name) { this(name, 4); }
                Office(String name, int desks) { roster.add(name); }
                void open() {
                    roster.first().greet("morning");
                    roster.first();
                    new Roster().add("Ebba");
                    new StringBuilder().append("x");
                }
                void close() { roster.first().greet("evening"); }
            }
            """;
    private static final String ROSTER = """
            package quay;
            class Roster {
                Pilot first() { return null; }
                void add(String name) { }
            }
            class Pilot { void greet(String text) { } }
            """;

    private final Program program = Given.scan("", OFFICE, ROSTER).program();

    private List<Integer> lines(List<CallFact> calls) {
        return calls.stream().map(CallFact::line).toList();
    }

    @Test
    void callsAreFoundByTheNameCalled() {
        assertThat(lines(program.callsOf("first"))).containsExactly(7, 8, 12);
        assertThat(lines(program.callsOf("add"))).containsExactly(5, 9);
        assertThat(program.callsOf("unknown")).isEmpty();
    }

    @Test
    void callsOfSeveralNamesAreFoundInOneGo() {
        assertThat(lines(program.callsOfAny(Set.of("first", "add")))).containsExactly(5, 7, 8, 9, 12);
        assertThat(program.callsOfAny(Set.of())).isEmpty();
    }

    @Test
    void twoNamesOfOneHashCodeAreTwo() {
        Program twins = Given.scan("", "class Pair { void Aa() { } void BB() { } void both() { Aa();\n BB(); } }", "class One { void only(Pair pair) { pair.BB(); } }").program();
        assertThat("Aa").hasSameHashCodeAs("BB");
        assertThat(lines(twins.callsOf("Aa"))).containsExactly(1);
        assertThat(lines(twins.callsOf("BB"))).containsExactly(1, 2);
        assertThat(twins.callsOfAny(Set.of("Aa"))).hasSize(1);
    }

    @Test
    void callsAreFoundByTheRoutineThatMakesThem() {
        TypeOutline office = program.type("quay.Office").orElseThrow();
        RoutineOutline close = office.routines().stream().filter(each -> each.name().equals("close")).findFirst().orElseThrow();
        assertThat(program.callsBy(close)).extracting(each -> each.trail().lastName()).containsExactlyInAnyOrder("first", "greet");
        assertThat(program.callsBy(office.constructors().get(0))).extracting(each -> each.trail().lastName()).containsExactly("this");
    }

    @Test
    void callsOnResultsAreFoundByTheNameOfWhatGaveThem() {
        assertThat(program.callsOnResultOf("first")).extracting(each -> each.trail().lastName()).containsExactly("greet", "greet");
        assertThat(program.callsOnResultOf("greet")).isEmpty();
    }

    @Test
    void creationsAreFoundByTheTypeMade() {
        TypeOutline roster = program.type("quay.Roster").orElseThrow();
        assertThat(program.creations(roster)).extracting(CreationFact::line).containsExactly(3, 9);
        assertThat(program.creations(program.type("quay.Pilot").orElseThrow())).isEmpty();
    }

    @Test
    void aListenerHearsWhatIsAsked() {
        List<String> asked = new ArrayList<>();
        Program telling = program.telling(asked::add);
        TypeOutline roster = telling.type("quay.Roster").orElseThrow();
        telling.callsOf("first");
        telling.callsOnResultOf("first");
        telling.creations(roster);
        telling.callsBy(roster.routines().get(0));
        telling.callsIn(telling.fileOf(roster));
        telling.creationsIn(telling.fileOf(roster));
        assertThat(asked).hasSize(6).doesNotHaveDuplicates();
        program.callsOf("add");
        assertThat(asked).hasSize(6);
    }

    @Test
    void everyQuestionThatAFileAnswersIsKnown() {
        List<String> asked = new ArrayList<>();
        Program telling = program.telling(asked::add);
        Outline file = telling.fileOf(telling.type("quay.Office").orElseThrow());
        telling.callsOf("first");
        telling.callsOnResultOf("first");
        telling.creations(telling.type("quay.Roster").orElseThrow());
        file.types().get(0).routines().forEach(telling::callsBy);
        telling.callsIn(file);
        telling.creationsIn(file);
        Map<String, List<Program.Use>> answers = program.answersIn(file);
        assertThat(answers.keySet()).containsAll(asked);
        assertThat(answers.get(asked.get(0))).extracting(Program.Use::line).containsExactly(7, 8, 12);
    }

    @Test
    void whatIsAnsweredDoesNotDependOnWhereItStands() {
        Outline before = program.fileOf(program.type("quay.Office").orElseThrow());
        Program moved = Given.scan("", "// first\n" + OFFICE.replace("roster.first();", "\n\nroster.first();"), ROSTER).program();
        Outline after = moved.fileOf(moved.type("quay.Office").orElseThrow());
        program.answersIn(before).forEach((question, uses) -> assertThat(moved.answersIn(after).get(question))
                .as(question).extracting(Program.Use::fact).containsExactlyElementsOf(uses.stream().map(Program.Use::fact).toList()));
    }

    @Test
    void onlyTheFilesAskedForAreJudged() {
        String file = program.type("quay.Roster").orElseThrow().file();
        Program some = program.judging(Set.of(file));
        assertThat(some.judged()).extracting(Outline::file).containsExactly(file);
        assertThat(some.judgedTypes()).extracting(TypeOutline::simpleName).containsExactly("Roster", "Pilot");
        assertThat(some.types()).hasSize(3);
        assertThat(program.judged()).hasSize(2);
    }

    @Test
    void ofTwoTypesOfOneNameOneIsJudged() {
        Program twice = Given.scan("", "package quay; class Tug { int a; } class Pier { }", "package quay; class Mole { } class Tug { int b; }")
                .program();
        assertThat(twice.judgedTypes()).extracting(TypeOutline::simpleName).containsExactlyInAnyOrder("Tug", "Pier", "Mole");
    }
}
