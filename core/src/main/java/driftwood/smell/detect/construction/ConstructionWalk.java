package driftwood.smell.detect.construction;

import driftwood.program.Whereabouts;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.smell.detect.construction.ConstructionSighting.Kind;
import driftwood.tree.Block;
import driftwood.tree.Call;
import driftwood.tree.Conditional;
import driftwood.tree.Creation;
import driftwood.tree.If;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.NullTest;
import driftwood.tree.Return;
import driftwood.tree.Routine;
import driftwood.tree.Throw;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Sees optional parameters of constructors, and routines that create. */
final class ConstructionWalk extends Whereabouts {
    static final Seer<ConstructionSighting> SEER = new Seer<>("construction", 1, ConstructionSighting.class, file -> {
        ConstructionWalk walk = new ConstructionWalk(file);
        walk.scan(file.unit());
        return walk.sightings;
    });
    private final List<ConstructionSighting> sightings = new ArrayList<>();

    private ConstructionWalk(FileTree file) {
        super(file);
    }

    private void optional(Node subject) {
        Optional<Routine> around = routine();
        if (around.isPresent() && subject instanceof Name name && around.get().parameters().stream()
                .anyMatch(parameter -> parameter.name().equals(name.name()))) {
            sightings.add(new ConstructionSighting(Kind.OPTIONAL, member(), name.name(), file.line(subject)));
        }
    }

    @Override
    public Void visitIf(If branch) {
        if (branch.condition() instanceof NullTest test && !endsInThrow(branch.then())) {
            optional(test.subject());
        }
        return visitNode(branch);
    }

    private static boolean endsInThrow(Node body) {
        return body instanceof Throw || body instanceof Block block && !block.statements().isEmpty()
                && block.statements().get(block.statements().size() - 1) instanceof Throw;
    }

    @Override
    public Void visitConditional(Conditional choice) {
        if (choice.condition() instanceof NullTest test) {
            optional(test.subject());
        }
        return visitNode(choice);
    }

    @Override
    public Void visitCall(Call call) {
        if (call.name().startsWith("requireNonNullElse") && !call.arguments().isEmpty()) {
            optional(call.arguments().get(0));
        }
        return visitNode(call);
    }

    @Override
    public Void visitReturn(Return back) {
        back.value().ifPresent(value -> {
            boolean overload = value instanceof Call call && call.receiver().isEmpty()
                    && routine().map(around -> around.name().equals(call.name())).orElse(false);
            if (value instanceof Creation || overload) {
                sightings.add(new ConstructionSighting(Kind.CREATES, member(), "", file.line(back)));
            }
        });
        return visitNode(back);
    }
}
