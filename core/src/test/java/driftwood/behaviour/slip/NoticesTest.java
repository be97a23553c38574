package driftwood.behaviour.slip;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.behaviour.Characterization;
import driftwood.behaviour.build.Compiler;
import driftwood.behaviour.build.Homes;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.view.Surface;
import driftwood.program.Program;
import driftwood.scan.Scan;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Records with slips planted, in real processes. */
class NoticesTest {
    private static final Limits QUICK = new Limits(700, 128, 1);

    @TempDir
    Path root;

    private Characterization.Result recorded(String type, String... sources) throws Exception {
        Given.written(root.resolve("src"), sources);
        Program program = new Scan(Scan.Options.DEFAULT).run(root, List.of(root.resolve("src"))).program();
        Compiler.compile(root, program.outlines().stream().map(each -> root.resolve(each.file())).toList(), List.of(),
                root.resolve("classes"));
        return new Characterization(program, root, Homes.of(root.resolve("classes"), List.of()), QUICK)
                .record(type, List.of(type), Surface.of(program.type(type).orElseThrow(), program), 60, Duration.ofSeconds(25));
    }

    @Test
    void aSmallTariffIsPinnedDown() throws Exception {
        Notices notices = recorded("quay.Tariff", """
                package quay;
                public class Tariff {
                    public int dues(int tonnage, boolean local) {
                        int dues = 20 + tonnage / 10;
                        if (tonnage > 500) { dues += 40; }
                        return local ? dues / 2 : dues;
                    }
                }
                """).notices();
        assertThat(notices.planted()).isGreaterThan(10);
        assertThat(notices.share()).isGreaterThan(0.9);
    }

    @Test
    void aLineThatNoCaseComesToIsTold() throws Exception {
        Notices notices = recorded("quay.Vault", """
                package quay;
                public class Vault {
                    public String open(String word) {
                        if (word != null && word.hashCode() == 918273645) {
                            return "open" + word.length() * 3;
                        }
                        return "shut";
                    }
                }
                """).notices();
        assertThat(notices.unreached()).isNotEmpty().allSatisfy(each -> {
            assertThat(each.slip().line()).isEqualTo(5);
            assertThat(each.file()).isEqualTo("src/quay/Vault.java");
        });
    }

    @Test
    void branchesThatNoCaseTakesAreTold() throws Exception {
        Notices notices = recorded("quay.Vault", """
                package quay;
                public class Vault {
                    public String open(int depth, String word) {
                        String told = depth > 4 ? "deep" : "shallow";
                        if (word != null && word.hashCode() == 918273645) {
                            told = "open";
                        }
                        return told;
                    }
                    private void nobodyAsks(int n) { if (n > 3) { System.out.println(n); } }
                }
                """).notices();
        assertThat(notices.branches()).isEqualTo(new Coverage(5, 6, List.of(new Coverage.Line("src/quay/Vault.java", 5, 1, 4))));
    }

    @Test
    void aTypeParameterIsAskedForByItsBound() throws Exception {
        Characterization.Result result = recorded("quay.Roster", """
                package quay;
                public class Roster {
                    public <T extends Appendable> T line(T to, int n) throws java.io.IOException { to.append("tug " + n); return to; }
                    public <T extends Comparable<T>> boolean before(T one, T other) { return one.compareTo(other) < 0; }
                    public static <T> int many(T[] all) { return all == null ? -1 : all.length; }
                }
                """);
        assertThat(result.unmade()).isEmpty();
        assertThat(result.recording().cases()).anySatisfy(each -> assertThat(each.outcome().toString()).contains("tug "))
                .anySatisfy(each -> assertThat(each.outcome().path("gives").asBoolean()).isTrue())
                .anySatisfy(each -> assertThat(each.outcome().path("gives").asInt()).isGreaterThan(1));
    }

    @Test
    void slipsThatNeverEndAreNoticedAndContained() throws Exception {
        Notices notices = recorded("quay.Tide", """
                package quay;
                public class Tide {
                    public int hours(int depth) {
                        int hours = 0;
                        for (int left = Math.min(depth, 40); left > 0; left -= 4) { hours++; }
                        return hours;
                    }
                }
                """).notices();
        assertThat(notices.untried()).isZero();
        assertThat(notices.noticed()).isGreaterThan(3);
    }

    @Test
    void arraysOfWrappersAndOtherObjectsOfTheSameTypeAreHandedIn() throws Exception {
        Characterization.Result result = recorded("quay.Lights", """
                package quay;
                public class Lights {
                    private final int row;
                    public Lights(int row) { this.row = row; }
                    public boolean all(Boolean... lit) {
                        for (Boolean each : lit) { if (!each) { return false; } }
                        return lit.length > 0;
                    }
                    @Override public boolean equals(Object other) { return other instanceof Lights l && l.row == row; }
                    @Override public int hashCode() { return row; }
                    public java.util.Iterator<Integer> rows() { return java.util.List.of(row, row + 1).iterator(); }
                }
                """);
        assertThat(result.unmade()).isEmpty();
        assertThat(result.notices().missed()).isEmpty();
        assertThat(result.recording().cases()).filteredOn(each -> each.routine().contains("#rows"))
                .allSatisfy(each -> assertThat(each.outcome().get("gives").isArray()).isTrue());
    }

    @Test
    void identitiesOfObjectsAreNotRecorded() throws Exception {
        assertThat(recorded("quay.Log", """
                package quay;
                public class Log {
                    public String line(int n) { return "entry " + new Object() + " of " + n; }
                    public void fail(int n) { throw new IllegalStateException("lost " + new Object() + " at ada@kelp.quay"); }
                }
                """).recording().cases()).isNotEmpty().allSatisfy(each -> assertThat(each.outcome().toString())
                .doesNotContainPattern("@[0-9a-f]{5}").satisfiesAnyOf(text -> assertThat(text).contains("Object@..."),
                        text -> assertThat(each.routine()).endsWith("#new")));
    }

    @Test
    void theRecordingKeepsWhatWasMeasured() throws Exception {
        Recording recording = recorded("quay.Buoy", """
                package quay;
                public class Buoy {
                    public boolean lit(int hour) { return hour < 6 || hour > 18; }
                }
                """).recording();
        Recording back = new Recordings(root).read(new Recordings(root).save(recording));
        assertThat(back.notices()).isEqualTo(recording.notices());
        assertThat(back.notices().noticed()).isEqualTo(back.notices().planted());
        assertThat(back.cases()).extracting(Recording.Case::id).doesNotHaveDuplicates();
    }
}
