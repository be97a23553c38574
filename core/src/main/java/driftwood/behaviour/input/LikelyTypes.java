package driftwood.behaviour.input;

import driftwood.program.FieldOutline;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a value may be that nothing declares: a type of the project that goes by the same name, that the code asks whether it
 * is, or that has what is asked of it. Worth trying, and no more than that.
 */
final class LikelyTypes {
    /** More than these may be anything. */
    private static final int MOST = 3;
    /** What texts, lists and dictionaries have as well says nothing. */
    private static final Set<String> COMMON = Set.of("append", "extend", "items", "keys", "values", "get", "split", "join", "strip", "lower", "upper", "format", "encode", "decode",
            "startswith", "endswith", "replace", "update", "pop", "add", "remove", "insert", "index", "count", "sort", "copy", "read", "write", "close");

    private final Program program;
    private final Constants constants;
    private final Map<String, List<TypeOutline>> known = new HashMap<>();
    /** Of the types that may be it, by the names of what they have; read once, when a first value is asked about. */
    private final Map<TypeOutline, Set<String>> members = new LinkedHashMap<>();

    LikelyTypes(Program program, Constants constants) {
        this.program = program;
        this.constants = constants;
    }

    /** The likeliest first. @param word the name that the value goes by @param scope whose language it is of */
    List<TypeOutline> of(String word, TypeOutline scope) {
        return word.isEmpty() ? List.of() : known.computeIfAbsent(word, each -> found(each, scope));
    }

    /** Whether the code asks a value whether it is one of some types, all of which are the project's own. */
    boolean isAskedForOwn(String word) {
        Set<String> asked = constants.askedToBe(word);
        return !asked.isEmpty() && asked.stream().allMatch(each -> members.keySet().stream().anyMatch(type -> type.simpleName().equals(each)));
    }

    private List<TypeOutline> found(String word, TypeOutline scope) {
        if (members.isEmpty()) {
            program.types().stream().filter(each -> !each.isModule() && !each.anonymous() && !program.fileOf(each).test()
                    && program.fileOf(each).language() == program.fileOf(scope).language()).forEach(each -> members.put(each, members(each)));
        }
        Set<TypeOutline> all = members.keySet();
        Set<TypeOutline> likely = new LinkedHashSet<>();
        all.stream().filter(each -> plain(each.simpleName()).equals(plain(word)) || constants.askedToBe(word).contains(each.simpleName())).forEach(likely::add);
        Set<String> asked = new HashSet<>(constants.askedOf(word));
        asked.removeAll(COMMON);
        List<TypeOutline> whole = asked.isEmpty() ? List.of() : all.stream().filter(each -> members.get(each).containsAll(asked)).toList();
        List<TypeOutline> some = !whole.isEmpty() || asked.isEmpty() ? whole : all.stream().filter(each -> members.get(each).stream().anyMatch(asked::contains)).toList();
        if (some.size() <= MOST) {
            likely.addAll(some);
        }
        return likely.stream().limit(MOST).toList();
    }

    private Set<String> members(TypeOutline type) {
        Set<String> names = new HashSet<>();
        List<TypeOutline> line = new ArrayList<>(List.of(type));
        line.addAll(program.ancestors(type));
        line.stream().flatMap(each -> Stream.concat(each.fields().stream().map(FieldOutline::name), each.routines().stream().map(RoutineOutline::name))).forEach(names::add);
        return names;
    }

    private static String plain(String name) {
        return name.replace("_", "").toLowerCase(Locale.ROOT);
    }
}
