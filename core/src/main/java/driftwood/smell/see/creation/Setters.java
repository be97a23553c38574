package driftwood.smell.see.creation;

import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** Creations held by a local, and the setters that follow them. */
public final class Setters {
    private static final Pattern SETTER = Pattern.compile("set_?[A-Za-z].*|Set[A-Z].*");

    private Setters() {
    }

    /** Whether a routine is named as one that sets a part: {@code setTide}, {@code set_tide}, {@code SetTide}. */
    public static boolean isNamed(String routine) {
        return SETTER.matcher(routine).matches();
    }

    /** What a statement creates for a local. */
    static Optional<Creation> made(Node statement) {
        if (statement instanceof Local local) {
            return local.initial().orElse(null) instanceof Creation creation ? Optional.of(creation) : Optional.empty();
        }
        return statement instanceof Evaluate evaluate && evaluate.expression() instanceof Assignment assignment
                && assignment.target() instanceof Name && assignment.value() instanceof Creation creation
                ? Optional.of(creation) : Optional.empty();
    }

    /**
     * Setters called, and properties assigned, before the object is used for anything else; what other statements do in
     * between, and what is set in some cases only, does not count. @param at index of the creating statement
     */
    static List<String> after(List<Node> statements, int at) {
        String name = nameOf(statements.get(at));
        List<String> set = new ArrayList<>();
        for (Node each : statements.subList(at + 1, statements.size())) {
            Optional<String> property = each instanceof Evaluate evaluate
                    ? property(evaluate.expression(), name) : Optional.empty();
            property.ifPresent(set::add);
            if (property.isEmpty() && !(each instanceof If) && Search.mentions(each, name)) {
                break;
            }
        }
        return set;
    }

    private static String nameOf(Node statement) {
        return statement instanceof Local local ? local.name()
                : ((Name) ((Assignment) ((Evaluate) statement).expression()).target()).name();
    }

    private static Optional<String> property(Node expression, String name) {
        if (expression instanceof Call call && call.arguments().size() == 1
                && call.receiver().orElse(null) instanceof Name receiver && receiver.name().equals(name)
                && isNamed(call.name())) {
            return Optional.of(call.name());
        }
        return expression instanceof Assignment assignment && assignment.target() instanceof Member member
                && member.receiver() instanceof Name receiver && receiver.name().equals(name)
                ? Optional.of(member.name()) : Optional.empty();
    }
}
