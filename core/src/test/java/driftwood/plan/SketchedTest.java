package driftwood.plan;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.pattern.Patterns;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A sketch is shown where it compiles and loses nothing; else the plan says why there is none. */
class SketchedTest {
    private static final String VESSELS = """
            package quay;
            abstract class Vessel { }
            class Tug extends Vessel { }
            class Tanker extends Vessel { int load; }
            """;

    @TempDir
    Path root;

    private Sketched plan(String smell, String pattern, String... sources) {
        Given.written(root, sources);
        return sketched(new Scan(Scan.Options.DEFAULT.only(smell).on(1)).run(root, java.util.List.of(root)), pattern);
    }

    private static Sketched sketched(Scan.Result result, String pattern) {
        Finding finding = result.findings().get(0);
        return Sketched.of(finding, Patterns.answer(Patterns.byKey(pattern).orElseThrow(), finding, result.site()), result.site());
    }

    @Test
    void whatCompilesIsShown() {
        Sketched plan = plan("type-switch", "strategy", VESSELS, """
                package quay;
                class Dues {
                    int quote(Vessel vessel, int nights) {
                        if (vessel instanceof Tug) {
                            return nights * 2;
                        } else if (vessel instanceof Tanker) {
                            return nights * 9;
                        } else {
                            throw new IllegalArgumentException("no vessel");
                        }
                    }
                }
                """);
        assertThat(plan.why()).isEmpty();
        assertThat(plan.diff()).contains("+    abstract int quote(int nights);");
    }

    @Test
    void aFileWithoutAPackageDoesNotHideTheFoldersThatPackagesBeginIn() {
        Given.write(root.resolve("Setup.java"), "class Setup { }\n");
        Given.write(root.resolve("src/quay/Light.java"), "package quay;\npublic class Light { public int on() { return 1; } }\n");
        Given.write(root.resolve("src/quay/Vessels.java"), VESSELS);
        Given.write(root.resolve("src/quay/Dues.java"), """
                package quay;
                class Dues {
                    int quote(Vessel vessel, Light light) {
                        if (vessel instanceof Tug) {
                            return light.on() * 2;
                        } else if (vessel instanceof Tanker) {
                            return light.on() * 9;
                        } else {
                            throw new IllegalArgumentException("no vessel");
                        }
                    }
                }
                """);
        Scan.Result result = new Scan(Scan.Options.DEFAULT.only("type-switch").on(1)).run(root, java.util.List.of(root));
        Sketched plan = sketched(result, "strategy");
        assertThat(plan.why()).isEmpty();
        assertThat(plan.diff()).contains("+    abstract int quote(Light light);");
    }

    @Test
    void aModuleAndMissingLibrariesDoNotHideWhatIsWrong() {
        Given.write(root.resolve("module-info.java"), "module quay { requires org.absent; }\n");
        Sketched plan = plan("type-switch", "strategy", VESSELS, """
                package quay;
                import org.absent.Missing;
                class Dues {
                    private int season;
                    Missing missing;
                    int quote(Vessel vessel, int nights) {
                        if (vessel instanceof Tug) {
                            return nights * season;
                        } else if (vessel instanceof Tanker) {
                            return nights * 9;
                        } else {
                            throw new IllegalArgumentException("no vessel");
                        }
                    }
                }
                """);
        assertThat(plan.why()).isEqualTo("season belongs to Dues and would have to be handed over");
    }

    @Test
    void namesThatWouldHaveToBeHandedOverAreTold() {
        Sketched plan = plan("type-switch", "strategy", VESSELS, """
                package quay;
                class Dues {
                    private static final int BASE = 40;
                    private int season;
                    int quote(Vessel vessel, int nights) {
                        if (vessel instanceof Tug) { return BASE + nights * season; }
                        if (vessel instanceof Tanker) { return BASE * 2; }
                        throw new IllegalArgumentException("no vessel");
                    }
                }
                """);
        assertThat(plan.diff()).isEmpty();
        assertThat(plan.why()).isEqualTo("BASE, season belong to Dues and would have to be handed over");
    }

    @Test
    void aDefaultThatDoesSomethingOfItsOwnIsNotLost() {
        Sketched plan = plan("type-switch", "strategy", VESSELS, """
                package quay;
                class Dues {
                    int quote(Vessel vessel, int nights) {
                        if (vessel instanceof Tug) { return nights * 2; }
                        else if (vessel instanceof Tanker) { return nights * 9; }
                        else { return nights * 100; }
                    }
                }
                """);
        assertThat(plan.why()).contains("what is done for all other cases (return nights * 100)");
    }

    @Test
    void aPlanKnowsEveryFileThatItTouches() {
        Sketched plan = plan("type-switch", "strategy", VESSELS, "package quay;\nclass Dues { int q(Vessel v, int n) { if (v instanceof Tug) { return n * 2; } "
                + "if (v instanceof Tanker) { return n * 9; } throw new IllegalStateException(); } }\n");
        assertThat(plan.files()).containsOnly("quay/Dues.java", "quay/Vessel.java");
    }

    @Test
    void withoutACompilerNoneIsShown() {
        Given.write(root.resolve("quay.py"), """
                class Roster:
                    def find(self, name):
                        if name in self.all:
                            return Pilot(name)
                        return None

                class Pilot:
                    def __init__(self, name):
                        self.name = name

                def board(roster: Roster, name):
                    pilot = roster.find(name)
                    if pilot is not None:
                        print(pilot.name)
                """);
        Scan.Result result = new Scan(Scan.Options.DEFAULT.only("null-check").on(1)).run(root, java.util.List.of(root));
        Plan plan = new Planner(result.site()).plan(result.findings().get(0), Optional.of("null-object"));
        assertThat(plan.noSketch()).isEqualTo("sketches are not drawn in Python, where no compiler could check them");
        assertThat(plan.steps().get(2).places()).extracting(each -> each.line()).contains(5);
    }
}
