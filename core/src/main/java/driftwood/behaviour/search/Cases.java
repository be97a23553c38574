package driftwood.behaviour.search;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.input.Constants;
import driftwood.behaviour.input.Inputs;
import driftwood.behaviour.input.Pairs;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import driftwood.behaviour.view.Commands;
import driftwood.behaviour.view.Surface;
import driftwood.behaviour.view.Surface.Target;
import driftwood.behaviour.view.Ways;
import driftwood.program.Outline.CallFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.tree.TypeKind;
import driftwood.tree.TypeRef;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Makes cases for a surface: receivers, calls that bring them into a state, and arguments, combined. */
public final class Cases {
    private static final int MOST_FILES = 80;
    private static final int MOST_MUTATORS = 6;
    private static final int ROUNDS = 3;
    /** So many cases get so many others with equal numbers. */
    private static final int ALIGNED = 4;

    private final Program program;
    private final Ways ways;
    private final Inputs inputs;
    private final Constants constants;
    /** Those of the observed types and of what they work with. */
    private final Set<TypeOutline> types;

    // driftwood: leave constructor-work because the constants are read from the files of this very project, once
    public Cases(Program program, Path root, Surface surface) {
        this.program = program;
        this.ways = new Ways(program);
        this.types = types(surface);
        this.constants = Constants.of(root, files());
        this.inputs = new Inputs(program, constants, ways);
    }

    /** The observed types and those that they work with. */
    public Set<TypeOutline> types() {
        return types;
    }

    /** What these types compare with, or know. */
    public Constants constants() {
        return constants;
    }

    /** Calls to make cases of, nothing observed yet. */
    public Vocabulary vocabulary() {
        return new Vocabulary(program, inputs);
    }

    private Set<TypeOutline> types(Surface surface) {
        Set<TypeOutline> types = new LinkedHashSet<>();
        surface.targets().forEach(target -> types.add(target.type()));
        for (int round = 0; round < ROUNDS && types.size() < MOST_FILES; round++) {
            for (TypeOutline type : List.copyOf(types)) {
                types.addAll(program.ancestors(type));
                types.addAll(program.descendants(type));
                types.addAll(program.nestedIn(type));
                type.fields().forEach(field -> program.resolve(field.type(), type).ifPresent(types::add));
                for (RoutineOutline routine : type.routines()) {
                    routine.parameters().forEach(each -> program.resolve(each.type(), type).ifPresent(types::add));
                }
                for (CallFact call : program.fileOf(type).calls()) {
                    if (call.within().equals(type.name())) {
                        program.routinesAt(call.trail(), type.name()).stream().limit(1)
                                .flatMap(routine -> program.type(routine.owner()).stream()).forEach(types::add);
                    }
                }
            }
        }
        return types;
    }

    /** Files whose constants matter. */
    private Set<String> files() {
        Set<String> files = new LinkedHashSet<>();
        types.stream().filter(type -> !program.fileOf(type).test()).map(TypeOutline::file).limit(MOST_FILES)
                .forEach(files::add);
        return files;
    }

    /** Cases for one target. @param left told why something cannot be observed */
    public List<Case> of(Target target, int most, List<String> left) {
        if (target.routine().isEmpty()) {
            return constructions(target, most);
        }
        RoutineOutline routine = target.routine().get();
        List<JsonNode> receivers = receivers(target.type(), routine, most);
        if (receivers.isEmpty()) {
            left.add(target.symbol() + ": no way to make a " + target.type().simpleName());
            return List.of();
        }
        List<List<Step>> befores = routine.traits().isStatic() ? List.of(List.of()) : befores(target.type());
        int share = receivers.size() * befores.size() == 1 ? most : Math.max(4, most / 2);
        List<ObjectNode> given = inputs.given(routine, target.type(), share);
        List<Case> cases = new ArrayList<>();
        int[] sizes = {receivers.size(), befores.size(), Math.max(1, given.size())};
        for (int[] row : Pairs.choose(sizes, most, 7)) {
            JsonNode on = receivers.get(row[0]);
            cases.add(Case.fresh(routine.symbol(), on, befores.get(row[1]), given.isEmpty() ? null : given.get(row[2])));
        }
        int front = Math.min(cases.size(), ALIGNED);
        List<Case> aligned = cases.stream().map(each -> aligned(each, ALIGNED)).filter(each -> !each.isEmpty())
                .limit(ALIGNED).flatMap(List::stream).toList();
        cases.addAll(front, aligned);
        return cases;
    }

    /** A case with numbers made equal, two at a time: what tells {@code <} from {@code <=}. @param most how many */
    static List<Case> aligned(Case from, int most) {
        Sequence one = Sequence.of(from);
        List<JsonNode> values = Sequence.leaves(one.tree());
        List<Case> found = new ArrayList<>();
        for (int i = values.size() - 1; i >= 0; i--) {
            for (int j = 0; j < values.size() && found.size() < most; j++) {
                boolean numbers = values.get(i).isIntegralNumber() && values.get(j).isIntegralNumber();
                if (numbers && !values.get(i).equals(values.get(j))) {
                    found.add(one.with(Sequence.replaced(one.tree(), i, values.get(j))).told());
                }
            }
        }
        return found;
    }

    private List<Case> constructions(Target target, int most) {
        List<List<ParameterOutline>> lists = new ArrayList<>();
        target.ladder().forEach(each -> lists.add(each.parameters()));
        if (lists.isEmpty()) {
            ways.fullest(target.type()).ifPresent(way -> lists.add(way.parameters()));
        }
        List<Case> cases = new ArrayList<>();
        int share = Math.max(6, most / Math.max(1, lists.size()));
        boolean routines = target.ladder().stream().anyMatch(each -> !each.isConstructor());
        for (List<ParameterOutline> parameters : lists) {
            if (ways.isMakeable(target.type()) || routines) {
                for (ObjectNode object : inputs.ofWay(target.type(), parameters, share, -1)) {
                    cases.add(Case.fresh(target.symbol(), object, List.of(), null));
                }
            }
        }
        return cases;
    }

    /** Nothing for static routines; else objects of the type or, where it is abstract, of its concrete subtypes. */
    private List<JsonNode> receivers(TypeOutline type, RoutineOutline routine, int most) {
        if (routine.traits().isStatic()) {
            return List.of(JsonNodeFactory.instance.nullNode());
        }
        if (!type.constants().isEmpty()) {
            return inputs.values(new TypeRef(type.name()), type, "", most, 2);
        }
        boolean bare = ways.fullest(type).map(way -> way.parameters().isEmpty()).orElse(ways.creators(type).isEmpty());
        boolean attributes = program.fileOf(type).language().isDuckTyped() && !type.fields().isEmpty();
        int wanted = bare && program.children(type).isEmpty() ? attributes ? 4 : 1 : routine.parameters().isEmpty() ? most : Math.max(3, most / 4);
        return inputs.values(new TypeRef(type.name()), type, "", wanted, 1).stream()
                .filter(each -> each.has("is") || each.has("enum")).toList();
    }

    /** No call at all, each routine that may change the object, and pairs of those. */
    private List<List<Step>> befores(TypeOutline type) {
        List<List<Step>> befores = new ArrayList<>();
        befores.add(List.of());
        boolean stateful = type.kind() == TypeKind.CLASS && (type.fields().stream().anyMatch(field ->
                !field.traits().isStatic()) || !program.parents(type).isEmpty());
        if (!stateful) {
            return befores;
        }
        List<Step> singles = new ArrayList<>();
        type.routines().stream().filter(each -> each.parameters().size() <= 1 && Commands.isLikely(each)).limit(MOST_MUTATORS).forEach(routine -> {
            List<ObjectNode> given = inputs.given(routine, type, 2);
            singles.add(Step.call(routine.name(), given.isEmpty() ? null : given.get(0)));
        });
        singles.forEach(step -> befores.add(List.of(step)));
        for (Step first : singles) {
            singles.forEach(second -> befores.add(List.of(first, second)));
        }
        return befores.subList(0, Math.min(befores.size(), 1 + MOST_MUTATORS + 18));
    }
}
