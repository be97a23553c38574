package driftwood.program;

import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * The way to a value, as far as one file can tell: where it starts and the members taken from there. The linked
 * program walks it to find the value's type. Locals are already replaced by their declared types or by the trails
 * of their initial values, so that {@code var b = office.berth(4); b.dues()} gives {@code office, berth/1, dues/0}.
 *
 * @param start what the trail starts from
 * @param head  the type's text for TYPED and CREATED, the name for NAME, else empty
 * @param steps {@code "name"} for a member, {@code "name/2"} for a call with two arguments, {@code "[]"} for an element,
 *              {@code ":Berth"} where a local of that declared type holds the value so far
 */
public record Trail(Start start, String head, List<String> steps) {

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
        UNKNOWN
    }

    private static final Pattern COLLECTING =
            Pattern.compile("append|add|extend|insert|update|remove|discard|pop|push|put|get|write|read|close");
    /** Nobody asks where a longer chain leads. */
    public static final int LONGEST = 48;
    /** The element of a collection or array. */
    public static final String ELEMENT = "[]";
    /** Begins a step that only declares the type of the value so far. */
    public static final String HELD = ":";
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

    /** This trail and one step more. */
    public Trail then(String step) {
        if (start == Start.UNKNOWN || steps.size() >= LONGEST) {
            return UNKNOWN;
        }
        List<String> more = new ArrayList<>(steps.size() + 1);
        more.addAll(steps);
        more.add(step.intern());
        return new Trail(start, head, List.copyOf(more));
    }

    /** This trail and a call. @param arguments how many the call has */
    public Trail thenCall(String name, int arguments) {
        return then(name + "/" + arguments);
    }

    public boolean isKnown() {
        return start != Start.UNKNOWN && start != Start.OPEN;
    }

    /** The same value, held by a local of a declared type. */
    public Trail heldAs(TypeRef type) {
        return type.isPresent() ? then(HELD + type.text()) : this;
    }

    /** The value before locals of declared type held it. */
    public Trail unheld() {
        int end = steps.size();
        while (end > 0 && steps.get(end - 1).startsWith(HELD)) {
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
        return !steps.isEmpty() && steps.get(steps.size() - 1).indexOf('/') > 0;
    }

    /** The last step, or the head where there are no steps. */
    public String last() {
        return steps.isEmpty() ? head : steps.get(steps.size() - 1);
    }

    /** The name in the last step, without the number of arguments. */
    public String lastName() {
        String last = last();
        int slash = last.indexOf('/');
        return slash > 0 ? last.substring(0, slash) : last;
    }

    /** The trail without its last step. */
    public Trail owner() {
        return steps.isEmpty() ? UNKNOWN : new Trail(start, head, steps.subList(0, steps.size() - 1));
    }

    /** The name of a call step. */
    public static String nameOf(String step) {
        int slash = step.indexOf('/');
        return slash > 0 ? step.substring(0, slash) : step;
    }

    /** The number of arguments of a call step, -1 for any other. */
    public static int argumentsOf(String step) {
        int slash = step.indexOf('/');
        return slash > 0 ? Integer.parseInt(step.substring(slash + 1)) : -1;
    }
}
