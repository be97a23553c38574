package driftwood.smell.see.chain;

import driftwood.read.FileTree;
import driftwood.smell.Chain.Stored;
import driftwood.tree.Assignment;
import driftwood.tree.Evaluate;
import driftwood.tree.Match;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.Routine;
import driftwood.tree.Search;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What the statements of an arm store: the transitions of a state among them. */
final class Stores {
    private Stores() {
    }

    /** Plain assignments to fields of the object itself and to bare names, in order; what a later statement only goes on with is not kept. */
    static List<Stored> of(List<Node> statements, FileTree file) {
        List<Stored> stored = new ArrayList<>();
        for (int i = 0; i < statements.size(); i++) {
            Node each = statements.get(i);
            List<Node> later = statements.subList(i + 1, statements.size());
            if (each instanceof Evaluate evaluate && evaluate.expression() instanceof Assignment assignment
                    && assignment.operator().equals("=")) {
                name(assignment.target()).filter(name -> !(assignment.target() instanceof Name)
                        || later.stream().noneMatch(one -> Search.mentions(one, name))).ifPresent(name -> stored.add(new Stored(name, file.brief(assignment.value()))));
            }
        }
        return stored;
    }

    /** The name of what is asked, where the value of a decision is stored there again: every arm names what follows. */
    static Optional<String> moved(Match match, Optional<Routine> around) {
        Optional<String> asked = match.expression() ? name(match.subject()) : Optional.empty();
        return asked.filter(name -> around.flatMap(Routine::body).stream().flatMap(each -> Search.all(each, Assignment.class).stream())
                .anyMatch(each -> each.value() == match && each.operator().equals("=") && name(each.target()).equals(asked)));
    }

    private static Optional<String> name(Node target) {
        if (target instanceof Name name) {
            return Optional.of(name.name());
        }
        return target instanceof Member member && member.receiver() instanceof Name self && self.isSelf()
                ? Optional.of(member.name()) : Optional.empty();
    }
}
