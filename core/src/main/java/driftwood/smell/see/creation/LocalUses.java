package driftwood.smell.see.creation;

import driftwood.tree.*;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What becomes of the locals of a body.
 *
 * @param called   names on which something is called, or that are asked for a part by its key, with these uses in order
 * @param within   names that are handed to another routine of the same object, which uses them there
 * @param leaving  names that are returned, handed to others or stored
 * @param wrappers name to the type of the first creation that takes it as its only argument
 */
record LocalUses(Map<String, List<Node>> called, Set<String> within, Set<String> leaving, Map<String, String> wrappers) {

    /** Looks through a body once, for all of its locals. */
    static LocalUses of(Node body) {
        LocalUses locals = new LocalUses(new HashMap<>(), new HashSet<>(), new HashSet<>(), new HashMap<>());
        locals.new Looking().scan(body);
        return locals;
    }

    private final class Looking extends TreeScanner {

        @Override
        public Void visitCall(Call call) {
            name(call.receiver()).ifPresent(name -> called.computeIfAbsent(name, key -> new ArrayList<>()).add(call));
            boolean own = call.receiver().orElse(null) instanceof Name receiver && receiver.isSelf();
            passed(call.arguments(), own ? within : leaving);
            return visitNode(call);
        }

        @Override
        public Void visitIndex(Index index) {
            name(Optional.of(index.receiver())).ifPresent(name -> called.computeIfAbsent(name, key -> new ArrayList<>()).add(index));
            return visitNode(index);
        }

        @Override
        public Void visitCreation(Creation creation) {
            passed(creation.arguments(), leaving);
            if (creation.arguments().size() == 1) {
                name(Optional.of(creation.arguments().get(0))).ifPresent(name ->
                        wrappers.putIfAbsent(name, creation.type().name()));
            }
            return visitNode(creation);
        }

        @Override
        public Void visitReturn(Return back) {
            name(back.value()).ifPresent(leaving::add);
            return visitNode(back);
        }

        @Override
        public Void visitAssignment(Assignment assignment) {
            name(Optional.of(assignment.value())).ifPresent(leaving::add);
            return visitNode(assignment);
        }

        private void passed(List<Node> arguments, Set<String> to) {
            arguments.forEach(each -> name(Optional.of(each instanceof Named named ? named.value() : each)).ifPresent(to::add));
        }

        private Optional<String> name(Optional<Node> node) {
            return node.filter(Name.class::isInstance).map(each -> ((Name) each).name());
        }
    }
}
