package driftwood.behaviour.slip;

import driftwood.witness.Probes;
import java.io.IOException;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiPredicate;
import org.jacoco.core.analysis.Analyzer;
import org.jacoco.core.analysis.ICounter;
import org.jacoco.core.analysis.IMethodCoverage;
import org.jacoco.core.data.ExecutionData;
import org.jacoco.core.data.ExecutionDataStore;
import org.jacoco.core.instr.Instrumenter;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/** Which branches of the code under observation some cases take, counted by the library of JaCoCo. */
final class Branches {
    private final Map<Long, BitSet> passed = new TreeMap<>();
    private final Map<String, Probed> probed = new HashMap<>();

    /** A class that tells. @param type its number @param count of its probes */
    private record Probed(long type, int count) {
    }

    /** A class made to tell which of its branches are taken. @throws IOException where it cannot be read */
    byte[] telling(byte[] type, String name) throws IOException {
        return new Instrumenter(this::accessor).instrument(type, name);
    }

    /** @return how much of the operand stack it needs */
    private int accessor(long type, String name, int count, MethodVisitor to) {
        probed.put(name, new Probed(type, count));
        to.visitLdcInsn(type);
        to.visitLdcInsn(count);
        to.visitMethodInsn(Opcodes.INVOKESTATIC, Probes.class.getName().replace('.', '/'), "of", "(JI)[Z", false);
        return 3;
    }

    /** Adds what a case takes. @return whether no case before took some of it */
    boolean add(Map<Long, BitSet> taken) {
        boolean anew = false;
        for (Map.Entry<Long, BitSet> each : taken.entrySet()) {
            BitSet known = passed.computeIfAbsent(each.getKey(), key -> new BitSet());
            int before = known.cardinality();
            known.or(each.getValue());
            anew |= known.cardinality() > before;
        }
        return anew;
    }

    /**
     * What was taken of some classes so far.
     *
     * @param classes by internal name, as they were compiled
     * @param files   paths of their source files, by the same names
     * @param counts  whether a routine, by the internal name of its class and its name with descriptor, counts
     */
    Coverage of(Map<String, byte[]> classes, Map<String, String> files, BiPredicate<String, String> counts)
            throws IOException {
        ExecutionDataStore store = new ExecutionDataStore();
        probed.forEach((name, each) -> {
            boolean[] set = new boolean[each.count()];
            passed.getOrDefault(each.type(), new BitSet()).stream().forEach(at -> set[at] = true);
            store.put(new ExecutionData(each.type(), name, set));
        });
        List<Coverage.Line> never = new ArrayList<>();
        int[] sums = new int[2];
        Analyzer analyzer = new Analyzer(store, type -> type.getMethods().stream()
                .filter(each -> counts.test(type.getName(), each.getName() + each.getDesc())).forEach(each -> {
                    sums[0] += each.getBranchCounter().getCoveredCount();
                    sums[1] += each.getBranchCounter().getTotalCount();
                    never.addAll(never(each, files.getOrDefault(type.getName(), "")));
                }));
        for (Map.Entry<String, byte[]> each : classes.entrySet()) {
            analyzer.analyzeClass(each.getValue(), each.getKey());
        }
        never.sort(Comparator.comparing(Coverage.Line::file).thenComparingInt(Coverage.Line::line));
        return new Coverage(sums[0], sums[1], never);
    }

    private static List<Coverage.Line> never(IMethodCoverage routine, String file) {
        List<Coverage.Line> lines = new ArrayList<>();
        for (int line = Math.max(1, routine.getFirstLine()); line <= routine.getLastLine(); line++) {
            ICounter counter = routine.getLine(line).getBranchCounter();
            if (counter.getMissedCount() > 0) {
                lines.add(new Coverage.Line(file, line, counter.getMissedCount(), counter.getTotalCount()));
            }
        }
        return lines;
    }
}
