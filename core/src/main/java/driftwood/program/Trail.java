package driftwood.program;

import driftwood.tree.TypeRef;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * The way to a value, as far as one file can tell: where it starts and the members taken from there. The linked
 * program walks it to find the value's type. Locals are already replaced by their declared types or by the trails
 * of their initial values, so that {@code var b = office.berth(4); b.dues()} begins at the name {@code office} and takes two
 * calls.
 *
 * @param start what the trail starts from
 * @param head  the type's text for TYPED and CREATED, the name for NAME, else empty
 * @param steps taken from there, in order
 */
public record Trail(Start start, String head, List<Step> steps) {

    /** What a trail can start from. */
    public enum Start {
        /** A local or parameter with a declared type, or a cast. */
        TYPED,
        /** A fresh instance. */
        CREATED,
        /** The object itself. */
        THIS,
        /** The object itself, seen as its parent. */
        SUPER,
        /** A name that is no local: a field, a type or a package. */
        NAME,
        /** The module around, where bare calls mean its routines. */
        MODULE,
        /** A literal; the head is its kind. */
        LITERAL,
        /** A parameter of undeclared type, where types need not be declared: what is called on it is known, not its type. */
        OPEN,
        /** A computed value or one of undeclared type. */
        UNKNOWN,
        /** A function that a local holds, as one written within a routine; the head is its name. */
        HELD
    }

    private static final Pattern COLLECTING =
            Pattern.compile("(?i)append|add|extend|insert|update|remove|discard|pop|push|put|get|write|read|close");
    /** Nobody asks where a longer chain leads. */
    public static final int LONGEST = 48;
    /** A value nothing is known of. */
    public static final Trail UNKNOWN = new Trail(Start.UNKNOWN, "", List.of());
    /** The object itself. */
    public static final Trail THIS = new Trail(Start.THIS, "", List.of());

    /** The module around. */
    public static final Trail MODULE = new Trail(Start.MODULE, "", List.of());

    public static Trail typed(TypeRef type) {
        return type.isPresent() ? new Trail(Start.TYPED, type.text(), List.of()) : UNKNOWN;
    }

    public static Trail created(TypeRef type) {
        return new Trail(Start.CREATED, type.text(), List.of());
    }

    public static Trail name(String name) {
        return new Trail(Start.NAME, name, List.of());
    }

    public static Trail open(String name) {
        return new Trail(Start.OPEN, name, List.of());
    }

    /** A call of a function that a local holds is a step from here. */
    public static Trail held(String function) {
        return new Trail(Start.HELD, function, List.of());
    }

    /** This trail and one step more. */
    public Trail then(Step step) {
        if (start == Start.UNKNOWN || steps.size() >= LONGEST) {
            return UNKNOWN;
        }
        Step[] more = steps.toArray(new Step[steps.size() + 1]);
        more[steps.size()] = step;
        return new Trail(start, head, List.of(more));
    }

    /** This trail and a call. @param arguments how many the call has */
    public Trail thenCall(String name, int arguments) {
        return then(Step.invoke(name, arguments));
    }

    public boolean isKnown() {
        return start != Start.UNKNOWN && start != Start.OPEN && start != Start.HELD;
    }

    /** The same value, held by a local of a declared type. */
    public Trail heldAs(TypeRef type) {
        return type.isPresent() ? then(Step.heldAs(type.text())) : this;
    }

    /** The value before locals of declared type held it. */
    public Trail unheld() {
        int end = steps.size();
        while (end > 0 && steps.get(end - 1) instanceof Step.HeldAs) {
            end--;
        }
        return end == steps.size() ? this : new Trail(start, head, steps.subList(0, end));
    }

    /** Whether it ends in a call that is named like one on a collection or a stream of the platform. */
    public boolean isCollecting() {
        return isCall() && COLLECTING.matcher(lastName()).matches();
    }

    /** Whether the last step is a call. */
    public boolean isCall() {
        return !steps.isEmpty() && steps.get(steps.size() - 1) instanceof Step.Invoke;
    }

    /** The last step; empty where there are none. */
    public Optional<Step> last() {
        return steps.isEmpty() ? Optional.empty() : Optional.of(steps.get(steps.size() - 1));
    }

    /** The name in the last step, or the head where there are no steps. */
    public String lastName() {
        return steps.isEmpty() ? head : steps.get(steps.size() - 1).name();
    }

    /** With how many arguments the call that it ends in is made; -1 where it ends in none. */
    public int arguments() {
        return !steps.isEmpty() && steps.get(steps.size() - 1) instanceof Step.Invoke call ? call.arguments() : -1;
    }

    /** The trail without its last step. */
    public Trail owner() {
        return steps.isEmpty() ? UNKNOWN : new Trail(start, head, steps.subList(0, steps.size() - 1));
    }
}
