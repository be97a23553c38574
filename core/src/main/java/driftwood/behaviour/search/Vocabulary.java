package driftwood.behaviour.search;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.input.Inputs;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import driftwood.behaviour.view.Queries;
import driftwood.behaviour.view.Surface.Target;
import driftwood.behaviour.view.Surface;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.source.Language;
import driftwood.tree.RoutineKind;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The calls that cases are made of: those under observation, and those on what is handed in or given back. */
public final class Vocabulary {
    /** Arguments to try for a routine that is not itself observed. */
    private static final int EACH = 6;
    private static final int MOST = 60;

    private final Program program;
    private final Inputs inputs;
    /** Of what is observed: by the type of the receiver; of static routines, by their type with a mark. */
    private final Map<String, Map<String, List<Word>>> observed = new LinkedHashMap<>();
    private final Map<String, List<JsonNode>> receivers = new HashMap<>();
    private final Map<String, List<Word>> others = new HashMap<>();
    private final Map<String, Optional<TypeOutline>> results = new HashMap<>();

    Vocabulary(Program program, Inputs inputs) {
        this.program = program;
        this.inputs = inputs;
    }

    /**
     * Learns what there is to call from cases that were drawn.
     *
     * @param queries what objects are asked after each step anyway: to call it as well tells nothing
     */
    public void learn(Surface surface, Collection<Case> drawn, Queries queries) {
        for (Target target : surface.targets()) {
            target.routine().ifPresent(routine -> results.put(target.symbol(), program.resolve(routine.returns(), target.type())));
        }
        for (Case each : drawn) {
            boolean bound = each.on() != null;
            if (bound) {
                List<JsonNode> known = receivers.computeIfAbsent(each.owner(), key -> new ArrayList<>());
                if (known.size() < MOST && !known.contains(each.on())) {
                    known.add(each.on());
                }
            }
            if (!each.member().equals("new") && !isAsked(each, queries)) {
                List<Word> words = observed.computeIfAbsent(key(each.owner(), bound), key -> new LinkedHashMap<>())
                        .computeIfAbsent(each.routine(), key -> new ArrayList<>());
                Word word = new Word(each.routine(), Step.call(each.member(), each.given()));
                if (words.size() < MOST && !words.contains(word)) {
                    words.add(word);
                }
            }
        }
    }

    private boolean isAsked(Case each, Queries queries) {
        Set<String> owners = new LinkedHashSet<>(List.of(each.owner()));
        program.type(each.owner()).ifPresent(type -> program.ancestors(type).forEach(above -> owners.add(above.name())));
        return each.on() != null && each.given() == null
                && owners.stream().anyMatch(owner -> queries.byType().getOrDefault(owner, List.of()).contains(each.member()));
    }

    private static String key(String owner, boolean bound) {
        return bound ? owner : owner + " static";
    }

    /** What may be called under observation on a receiver, by symbol. @param bound whether there is a receiver */
    Map<String, List<Word>> of(String owner, boolean bound) {
        return observed.getOrDefault(key(owner, bound), Map.of());
    }

    /** Receivers that were drawn. */
    List<JsonNode> receivers(String owner) {
        return receivers.getOrDefault(owner, List.of());
    }

    /** The type of the project that a routine under observation gives. */
    Optional<TypeOutline> given(String symbol) {
        return results.getOrDefault(symbol, Optional.empty());
    }

    /** What may be called on an object of a type of the project. */
    List<Word> on(TypeOutline type) {
        return others.computeIfAbsent(type.name(), key -> words(type));
    }

    private List<Word> words(TypeOutline type) {
        if (!type.constants().isEmpty()) {
            return List.of();
        }
        List<Word> words = new ArrayList<>();
        Set<String> told = new LinkedHashSet<>();
        List<TypeOutline> owners = new ArrayList<>(List.of(type));
        owners.addAll(program.ancestors(type));
        for (TypeOutline owner : owners) {
            for (RoutineOutline each : owner.routines()) {
                boolean open = each.kind() == RoutineKind.METHOD && !each.traits().isStatic() && !each.name().startsWith("_")
                        && (each.traits().isPublic() || owner.isInterface() || program.fileOf(owner).language().has(Language.Habit.PRIVATE_BY_NAME));
                if (open && told.add(each.name() + each.parameters().size()) && !isAbout(each.name())) {
                    List<ObjectNode> given = each.parameters().isEmpty() ? List.of() : inputs.given(each, owner, EACH);
                    if (given.isEmpty()) {
                        words.add(new Word(each.symbol(), Step.call(each.name(), null)));
                    }
                    given.forEach(one -> words.add(new Word(each.symbol(), Step.call(each.name(), one))));
                }
            }
        }
        return words;
    }

    /** Whether it can only tell of the object what is told anyway. */
    private static boolean isAbout(String name) {
        return Set.of("hashCode", "equals", "toString", "compareTo", "clone").contains(name);
    }
}
