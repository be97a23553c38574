package driftwood.refactor.java.recipe.construction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.Wishes;
import driftwood.refactor.java.Attributed;
import driftwood.refactor.java.ground.Drafting;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where a program is put together, and who is handed what on the way there. */
class AssemblyTest {
    private static final String LOG = "class Log { final int kept; Log(int kept) { this.kept = kept; } void write(String line) { } }";
    private static final Set<String> ALL = Set.of("Log", "Desk", "Gate", "Quay", "Yard", "Main");

    private static Drafting drafting(Set<String> followed, String... sources) {
        Attributed given = Attributed.of(sources);
        return new Drafting(null, given.workspace(), new Script(given.texts()), new Drafting.Terms(Wishes.NONE, 17, followed));
    }

    private static Assembly of(Set<String> followed, String... sources) {
        Drafting drafting = drafting(followed, sources);
        return Assembly.of(drafting, SoleCreation.of(drafting.workspace(), drafting.workspace().type("Log")));
    }

    @Test
    void theRoutineInWhichAllUsersAreCreatedIsTheRoot() {
        Assembly assembly = of(ALL, LOG, "class Desk { final Log log = new Log(3); }", "class Gate { void open() { new Log(3).write(\"open\"); } }",
                "class Main { static void main() { new Desk(); new Gate().open(); } }");
        assertThat(assembly.root().getSimpleName()).hasToString("main");
        assertThat(Attributed.names(assembly.users())).containsExactly("Desk", "Gate");
        assertThat(assembly.inRoot()).hasSize(2).noneMatch(assembly::isSole);
        assertThat(assembly.within(assembly.users().iterator().next())).hasSize(1);
    }

    @Test
    void itIsHandedThroughThoseWhoCreateUsers() {
        Assembly assembly = of(ALL, LOG, "class Desk { final Log log = new Log(3); }", "class Gate { final Desk desk = new Desk(); }",
                "class Quay { Gate gate; Quay() { gate = new Gate(); } }", "class Yard { Log own; Yard() { own = new Log(3); } }",
                "class Main { void start() { new Quay(); new Yard(); } }");
        assertThat(Attributed.names(assembly.users())).containsExactlyInAnyOrder("Desk", "Gate", "Quay", "Yard");
        assertThat(assembly.root().getSimpleName()).hasToString("start");
        assertThat(assembly.handed()).hasSize(4);
    }

    @Test
    void whereOneRoutineMakesAllNobodyIsHandedAnything() {
        Assembly assembly = of(ALL, LOG, "class Main { void start() { new Log(3).write(\"a\"); new Log(3).write(\"b\"); } }");
        assertThat(assembly.users()).isEmpty();
        assertThat(assembly.inRoot()).hasSize(2).allMatch(assembly::isSole);
    }

    /** A routine that makes one itself may be the root, where it creates all others too. */
    @Test
    void theFewestHandsAreTaken() {
        Assembly assembly = of(ALL, LOG, "class Desk { Log log = new Log(3); }", "class Main { void start() { new Log(3).write(\"begun\"); new Desk(); } }",
                "class Yard { Main main = new Main(); void run() { new Main().start(); } }", "class Quay { static void all() { new Yard().run(); } }");
        assertThat(assembly.root().getSimpleName()).hasToString("start");
        assertThat(Attributed.names(assembly.users())).containsExactly("Desk");
        assertThat(assembly.inRoot()).hasSize(2).filteredOn(assembly::isSole).hasSize(1);
    }

    @Test
    void testsMakeTheirOwn() {
        Assembly assembly = of(ALL, LOG, "class Desk { Log log = new Log(3); }", "class Gate { Log log = new Log(3); Gate(int wide) { } Gate() { this(4); } }",
                "class Main { static void main() { new Desk(); new Gate(); new Gate(5); } }");
        assertThat(assembly.handed()).as("calls of one constructor by another are no creations").hasSize(3).noneMatch(assembly::isWithinUser);
        assertThat(assembly.handed()).allMatch(InstancePassedIn::isPlain);
        assertThat(assembly.thing().getSimpleName()).hasToString("Log");
    }

    @Test
    void whoCreatesUsersIsLookedForFirst() {
        assertThatThrownBy(() -> of(Set.of("Log"), LOG, "class Desk { final Log log = new Log(3); }", "class Gate { final Log log = new Log(3); }"))
                .isInstanceOfSatisfying(Drafting.Wider.class, wider -> assertThat(wider.words()).containsExactlyInAnyOrder("Desk", "Gate"));
    }

    @ParameterizedTest(name = "{1}")
    @CsvSource(delimiter = '|', textBlock = """
            class Gate { static void open() { new Log(3); } } class Yard { static void shut() { new Log(3); } } | static routines have no constructor that could take it
            class Gate { static Log log = new Log(3); } class Yard { Log log = new Log(3); }                    | a static field holds one
            class Gate { Log log = new Log(3); } class Yard { Log log = new Log(3); }                           | nobody in the project creates a
            class Gate { Log log = new Log(3); } class Yard extends Gate { Log two = new Log(3); }              | has subclasses
            enum Gate { ONE; Log log = new Log(3); } class Yard { Log log = new Log(3); }                       | is no class
            class Gate { Log log = new Log(3); Yard yard = new Yard(); } class Yard { Log log = new Log(3); Gate gate = new Gate(); } | create one another
            """)
    void whereItCannotBeHandedOnIsSaid(String users, String why) {
        assertThatThrownBy(() -> of(ALL, LOG, users)).isInstanceOf(Refused.class).hasMessageContaining(why);
    }

    @ParameterizedTest(name = "{1}")
    @CsvSource(delimiter = '|', textBlock = """
            class Log { Log(int kept) { } } class Desk { void open(int many) { new Log(3); new Log(many); } }                   | not created everywhere with the same constant arguments
            class Log { Log(int kept) { } } class Desk { void open() { new Log(3); new Log(4); } }                              | not created everywhere with the same constant arguments
            class Log { Log() { } Log(int kept) { } } class Desk { void open() { new Log(); } }                                 | several constructors
            class Log { Log() { } } class Desk { Object open() { return new Log() { }; } }                                      | subclasses
            class Log { Log() throws Exception { } } class Desk { void open() throws Exception { new Log(); } }                 | its constructor throws java.lang.Exception
            class Log { Log() { } void close() { } } class Desk { void open() { Log log = new Log(); log.close(); } }           | one user closes it
            class Log implements AutoCloseable { public void close() { } } class Desk { void open() { try (Log log = new Log()) { } } } | who creates it closes it again
            class Log { }                                                                                                       | nobody creates it
            """)
    void whatCannotBeOneInstanceIsSaid(String sources, String why) {
        Drafting drafting = drafting(ALL, sources);
        assertThatThrownBy(() -> SoleCreation.of(drafting.workspace(), drafting.workspace().type("Log"))).isInstanceOf(Refused.class).hasMessageContaining(why);
    }

    @Test
    void aNameThatIsTakenIsMadeAnother() {
        Drafting drafting = drafting(ALL, LOG, "class Main { void start() { String log = \"\"; new Log(3).write(log); new Log(3); } }");
        Assembly assembly = Assembly.of(drafting, SoleCreation.of(drafting.workspace(), drafting.workspace().type("Log")));
        assertThat(assembly.name()).isEqualTo("log");
        assertThat(assembly.free("log", drafting.workspace().path(assembly.root()).orElseThrow())).isEqualTo("theLog");
        assertThat(assembly.free("other", drafting.workspace().path(assembly.root()).orElseThrow())).isEqualTo("other");
    }
}
