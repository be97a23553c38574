package driftwood.behaviour.slip;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.behaviour.build.Compiler;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class BranchesTest {
    @TempDir
    Path root;

    private byte[] compiled() throws Exception {
        Path source = Given.write(root.resolve("quay/Gate.java"), """
                package quay;
                class Gate {
                    int open(int depth) {
                        return depth > 4 ? 1 : 2;
                    }
                    int shut(int depth) {
                        return depth < 4 ? 1 : 2;
                    }
                }
                """);
        Compiler.compile(root, List.of(source), List.of(), root.resolve("classes"));
        return Files.readAllBytes(root.resolve("classes/quay/Gate.class"));
    }

    private static Map<Long, BitSet> passing(long type, int... probes) {
        BitSet passed = new BitSet();
        for (int each : probes) {
            passed.set(each);
        }
        return Map.of(type, passed);
    }

    @Test
    void aCaseIsNewWhereItTakesWhatNoOtherTook() {
        Branches branches = new Branches();
        assertThat(branches.add(passing(1, 0, 2))).isTrue();
        assertThat(branches.add(passing(1, 2))).isFalse();
        assertThat(branches.add(passing(2, 2))).isTrue();
        assertThat(branches.add(Map.of())).isFalse();
    }

    @Test
    void withoutAnyCaseEveryBranchOfTheRoutinesThatCountIsNeverTaken() throws Exception {
        byte[] gate = compiled();
        Branches branches = new Branches();
        assertThat(branches.telling(gate, "quay/Gate").length).isGreaterThan(gate.length);
        Coverage coverage = branches.of(Map.of("quay/Gate", gate), Map.of("quay/Gate", "quay/Gate.java"),
                (owner, routine) -> routine.equals("open(I)I"));
        assertThat(coverage).isEqualTo(new Coverage(0, 2, List.of(new Coverage.Line("quay/Gate.java", 4, 2, 2))));
        assertThat(coverage.never().get(0).told()).isEqualTo("quay/Gate.java:4 2 of 2");
    }
}
