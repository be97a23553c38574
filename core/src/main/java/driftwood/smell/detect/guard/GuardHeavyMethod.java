package driftwood.smell.detect.guard;

import driftwood.pack.Line;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.program.Whereabouts;
import driftwood.read.FileTree;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Gathered;
import driftwood.smell.RoutineFacts;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.detect.guard.Guarding.Part;
import driftwood.smell.detect.guard.Guarding.Role;
import driftwood.source.Language;
import driftwood.source.Language.Contract;
import driftwood.tree.Node;
import driftwood.tree.Routine;
import driftwood.tree.RoutineKind;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * guard-heavy-method: six or more top-level statements of which at least 60% are guards, limits, clamps or defensive
 * bookkeeping around one core statement. Not: pure validators; lookups written as a row of tests; comparisons; test
 * code, of which assertions are the work. (Catalogue, guard-heavy-method.)
 */
public final class GuardHeavyMethod implements Detector {
    private static final Smell SMELL = new Smell("guard-heavy-method", "gh", "Guard-heavy routine",
            "Most of a routine protects the little that it does: limits, clamps, counters, early exits. The work is "
                    + "hard to find, and the protection cannot be reused or left out.",
            "Pure validators, which do nothing but check; a row of tests that looks something up; equals and compareTo.",
            """
            void pump(int litres) {
                if (closed) { return; }
                if (litres < 0) { throw new IllegalArgumentException(); }
                litres = Math.min(litres, LIMIT);
                calls++;
                last = litres;
                engine.pump(litres);
            }
            """);

    private static final Pattern COMPARING = Pattern.compile("(?i)(equals|compar)\\w*$");
    /** What stands where is the work of what walks along. */
    private static final Pattern ITERATING = Pattern.compile("(Itr|Iterator|Cursor)$");
    private static final Pattern CHECKING = Pattern.compile("(?i:check|require|validate|assert|ensure|verify|is|can)([A-Z_].*)?");
    private static final int LEAST = 6;
    private static final double SHARE = 0.6;

    /**
     * A routine and its top-level statements.
     *
     * @param type    around
     * @param routine symbol
     * @param line    first line
     * @param endLine last line
     * @param parts   its statements
     */
    public record Guarded(String type, String routine, @Line int line, @Line int endLine, List<Part> parts) {
    }

    private static final Seer<Guarded> SEER = new Seer<>("guard-heavy-method", 14, Guarded.class, file -> {
        if (file.file().test()) {
            return List.of();
        }
        GuardedWalk walk = new GuardedWalk(file);
        walk.scan(file.unit());
        return walk.guarded;
    });

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(SEER);
    }

    private static final class GuardedWalk extends Whereabouts {
        private final List<Guarded> guarded = new ArrayList<>();

        GuardedWalk(FileTree file) {
            super(file);
        }

        @Override
        public Void visitRoutine(Routine routine) {
            if (routine.kind() == RoutineKind.METHOD && routine.body().isPresent()) {
                List<Node> statements = Guarding.statements(routine);
                List<Role> roles = statements.size() >= LEAST && isWork(routine) ? Guarding.roles(statements, routine) : List.of();
                if (isHeavy(roles)) {
                    guarded.add(new Guarded(type(), symbol(routine), file.line(routine), file.endLine(routine),
                            Guarding.parts(statements, roles, file)));
                }
            }
            return super.visitRoutine(routine);
        }

        private boolean isWork(Routine routine) {
            return !Language.isAsked(routine.name(), Contract.values()) && !COMPARING.matcher(type()).find() && !ITERATING.matcher(type()).find()
                    && !CHECKING.matcher(routine.name()).matches();
        }

        private static boolean isHeavy(List<Role> roles) {
            long tests = Collections.frequency(roles, Role.GUARD);
            long guards = tests + Collections.frequency(roles, Role.CLAMP)
                    + Collections.frequency(roles, Role.BOOKKEEPING);
            return roles.size() >= LEAST && guards >= SHARE * roles.size() && tests >= 1
                    && Collections.frequency(roles, Role.CORE) == 1;
        }
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<Guarded>> sighted = sightings.judged(SEER);
        List<Finding> findings = new ArrayList<>();
        for (Seen<Guarded> seen : sighted) {
            Optional<TypeOutline> type = program.type(seen.sighting().type());
            if (type.isPresent() && !passesOn(program, type.get(), seen.sighting().routine())) {
                findings.add(finding(seen.file(), seen.sighting()));
            }
        }
        return findings;
    }

    /** The guards stand around another object of the same interface already, which is the cure. */
    private static boolean passesOn(Program program, TypeOutline type, String routine) {
        Set<TypeOutline> above = program.ancestors(type);
        return type.routines().stream().filter(each -> each.symbol().equals(routine)).anyMatch(own -> program.callsBy(own).stream()
                .filter(call -> call.trail().lastName().equals(own.name()) && program.fieldAt(call.trail().owner(), type.name()).isPresent())
                .anyMatch(call -> program.projectType(call.trail().owner(), type.name()).filter(above::contains).isPresent()));
    }

    private static Finding finding(String file, Guarded guarded) {
        List<Evidence> evidence = new ArrayList<>();
        int guards = 0;
        Part core = guarded.parts().get(0);
        for (Part part : guarded.parts()) {
            if (part.role() == Role.CORE) {
                core = part;
            } else if (part.role() != Role.PLAIN) {
                guards++;
            }
            if (part.role() != Role.PLAIN) {
                evidence.add(new Evidence(file, part.line(), part.endLine(), part.role().title() + ": " + part.text()));
            }
        }
        Drag drag = Drag.of(1, 1, guarded.parts().size()).build();
        Gathered detail = new RoutineFacts.Guarded(guarded.routine(), core.text(), core.line());
        return SMELL.finding(new Spot(file, guarded.line(), guarded.endLine(), guarded.routine()), drag,
                guards + " of " + guarded.parts().size() + " statements guard one: " + core.text(), evidence, detail);
    }
}
