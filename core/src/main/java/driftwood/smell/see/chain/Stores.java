package driftwood.smell.see.chain;

import driftwood.read.FileTree;
import driftwood.smell.Chain.Stored;
import driftwood.tree.Assignment;
import driftwood.tree.Evaluate;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What the statements of an arm store: the transitions of a state among them. */
final class Stores {
    private Stores() {
    }

    /** Plain assignments to fields of the object itself and to bare names, in order. */
    static List<Stored> of(List<Node> statements, FileTree file) {
        List<Stored> stored = new ArrayList<>();
        for (Node each : statements) {
            if (each instanceof Evaluate evaluate && evaluate.expression() instanceof Assignment assignment
                    && assignment.operator().equals("=")) {
                name(assignment.target()).ifPresent(name -> stored.add(new Stored(name, file.brief(assignment.value()))));
            }
        }
        return stored;
    }

    private static Optional<String> name(Node target) {
        if (target instanceof Name name) {
            return Optional.of(name.name());
        }
        return target instanceof Member member && member.receiver() instanceof Name self && self.isSelf()
                ? Optional.of(member.name()) : Optional.empty();
    }
}
