package driftwood.scan;

import driftwood.program.Outline;
import driftwood.program.Program;
import driftwood.scan.memory.Facts;
import driftwood.scan.memory.FileStamp;
import driftwood.scan.memory.Remembered;
import java.util.List;

/** The facts of all files and the programs they make, each found out once and only when they are needed. */
final class Linked implements Scan.Programs {
    private final Reading seeing;
    private final List<FileStamp> traces;
    private final boolean tests;
    private List<Facts> facts = List.of();
    private Trees trees;

    Linked(Reading seeing, List<FileStamp> traces, boolean tests) {
        this.seeing = seeing;
        this.traces = traces;
        this.tests = tests;
    }

    synchronized List<Facts> facts() {
        if (facts.isEmpty()) {
            facts = seeing.facts(traces);
        }
        return facts;
    }

    synchronized Trees trees() {
        if (trees == null) {
            List<Outline> outlines = facts().stream().map(each -> tests ? each.outline().judged() : each.outline()).toList();
            trees = new Trees(outlines);
        }
        return trees;
    }

    synchronized Program program(String tree) {
        return trees().program(tree);
    }

    /** The program with all calls and creations at hand, so that nothing of it can be lost later. */
    @Override
    public synchronized Program holding(String file) {
        try {
            program(trees().of(file)).outlines().forEach(each -> each.calls().size());
        } catch (Remembered.Lost e) {
            seeAgain();
        }
        return program(trees().of(file));
    }

    /** Sees all files again, for a memory that is damaged in parts. */
    synchronized void seeAgain() {
        facts = seeing.anew(traces);
        trees = null;
    }
}
