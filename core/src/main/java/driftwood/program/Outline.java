package driftwood.program;

import driftwood.pack.Line;
import driftwood.source.Language;
import driftwood.tree.Import;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * What the rest of the project may need to know of a file, without its tree.
 *
 * @param file        relative path
 * @param language    of the file
 * @param test        whether it is test code
 * @param lines       how many it has
 * @param packageName empty for the default package
 * @param imports     as written
 * @param types       all of them, nested, local and anonymous ones too
 * @param creations   every creation of an instance
 * @param calls       every call with a known way to its receiver
 * @param named       names of the routines that are called, or whose results are
 */
public record Outline(String file, Language language, boolean test, int lines, String packageName,
        List<Import> imports, List<TypeOutline> types, List<CreationFact> creations, List<CallFact> calls, NameSet named) {

    /** With the names that the calls have. */
    public Outline(String file, Language language, boolean test, int lines, String packageName, List<Import> imports, List<TypeOutline> types,
            List<CreationFact> creations, List<CallFact> calls) {
        this(file, language, test, lines, packageName, imports, types, creations, calls, NameSet.of(calls.stream().flatMap(each -> each.names())));
    }

    /** The same outline, of another number of lines. */
    public Outline ofLines(int count) {
        return new Outline(file, language, test, count, packageName, imports, types, creations, calls, named);
    }

    /** The same outline, with test code judged like any other. */
    public Outline judged() {
        return new Outline(file, language, false, lines, packageName, imports, types, creations, calls, named);
    }

    /** The same outline, without some of its routines. @param kept which of them stay */
    Outline with(Predicate<RoutineOutline> kept) {
        return new Outline(file, language, test, lines, packageName, imports, types.stream().map(each -> each.with(kept, !language.isDuckTyped())).toList(), creations, calls, named);
    }

    /** The same outline, with other creations and calls. */
    public Outline using(List<CreationFact> created, List<CallFact> called) {
        return new Outline(file, language, test, lines, packageName, imports, types, created, called);
    }

    /** The same outline, with creations and calls that need not be known yet. @param names of the calls */
    public Outline using(List<CreationFact> created, List<CallFact> called, NameSet names) {
        return new Outline(file, language, test, lines, packageName, imports, types, created, called, names);
    }

    /**
     * A creation of an instance.
     *
     * @param within    qualified name of the type whose code creates
     * @param routine   symbol of the routine, or that of the field being initialised
     * @param type      as written
     * @param arguments in order
     * @param anonymous whether a body makes it an anonymous subtype
     * @param line      where it begins
     */
    public record CreationFact(String within, String routine, String type, List<Argument> arguments,
            boolean anonymous, @Line int line) {
    }

    /**
     * A call.
     *
     * @param within    qualified name of the type whose code calls
     * @param routine   symbol of the calling routine, or that of the field being initialised
     * @param trail     the way to the result: its last step is the call; constructors are called "this" and "super"
     * @param arguments in order
     * @param line      where it begins
     */
    public record CallFact(String within, String routine, Trail trail, List<Argument> arguments, @Line int line) {

        /** The name of the routine whose result the call is made on; empty where it is made on something else. */
        public String onResultOf() {
            Trail used = trail.steps().size() < 2 ? Trail.UNKNOWN : trail.owner().unheld();
            return used.isCall() ? used.lastName() : "";
        }

        Stream<String> names() {
            return Stream.of(trail.lastName(), onResultOf()).filter(each -> !each.isEmpty());
        }
    }
}
