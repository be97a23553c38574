package driftwood.behaviour.view;

import driftwood.program.FieldOutline;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.tree.Mark;
import driftwood.tree.RoutineKind;
import driftwood.tree.TypeKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** The ways in which a type of the project can be made: constructors, creation routines, builders. */
public final class Ways {
    private final Program program;
    private final Map<TypeOutline, Boolean> makeable = new HashMap<>();
    /** Types of the project that are called builders, with what each of their closing steps gives. */
    private Map<TypeOutline, BuilderWay> builders;

    public Ways(Program program) {
        this.program = program;
    }

    /**
     * A way to make an instance in one call.
     *
     * @param routine    empty for the constructor that the language adds
     * @param parameters in order
     */
    public record Way(Optional<RoutineOutline> routine, List<ParameterOutline> parameters) {

        public List<String> names() {
            return parameters.stream().map(ParameterOutline::name).toList();
        }
    }

    /** Whether instances of this very type can be made without an enclosing instance. */
    public boolean isMakeable(TypeOutline type) {
        return makeable.computeIfAbsent(type, this::canBeMade);
    }

    private boolean canBeMade(TypeOutline type) {
        return type.isConcrete() && !type.anonymous() && type.kind() != TypeKind.ENUM && isReachable(type)
                && (!constructors(type).isEmpty() || !creators(type).isEmpty() || builder(type).isPresent());
    }

    private boolean isReachable(TypeOutline type) {
        if (type.outer().isEmpty()) {
            return true;
        }
        Optional<TypeOutline> outer = program.type(type.outer());
        if (outer.map(TypeOutline::isModule).orElse(false)) {
            return true;
        }
        boolean isStatic = type.traits().isStatic() || type.kind() != TypeKind.CLASS
                || outer.map(TypeOutline::isInterface).orElse(false);
        return outer.isPresent() && isStatic && !outer.get().anonymous() && isReachable(outer.get());
    }

    /** The constructors that others may call; for a record without one, its components; else the default one. */
    public List<Way> constructors(TypeOutline type) {
        if (program.fileOf(type).language().isDuckTyped()) {
            return List.of(new Way(Optional.empty(), initialised(type)));
        }
        List<RoutineOutline> written = type.constructors();
        List<Way> ways = new ArrayList<>();
        written.stream().filter(each -> !each.traits().isPrivate())
                .forEach(each -> ways.add(new Way(Optional.of(each), each.parameters())));
        if (type.kind() == TypeKind.RECORD) {
            List<ParameterOutline> components = type.fields().stream().filter(each -> !each.traits().isStatic())
                    .map(Ways::component).toList();
            boolean canonical = ways.stream().anyMatch(way -> way.parameters().size() == components.size());
            if (!canonical) {
                ways.add(new Way(Optional.empty(), components));
            }
        } else if (written.isEmpty()) {
            ways.add(new Way(Optional.empty(), List.of()));
        }
        return ways;
    }

    /** What creating an instance takes in Python: the nearest initialiser's parameters, or a data class's fields. */
    private List<ParameterOutline> initialised(TypeOutline type) {
        if (!type.constructors().isEmpty()) {
            return type.constructors().get(0).parameters().stream().filter(each -> !each.variadic()).toList();
        }
        Map<String, ParameterOutline> parameters = new LinkedHashMap<>();
        program.parents(type).forEach(parent -> initialised(parent).forEach(each -> parameters.put(each.name(), each)));
        if (type.traits().has(Mark.DATA)) {
            type.fields().stream().filter(each -> each.type().isPresent() && !each.traits().isStatic())
                    .forEach(each -> parameters.put(each.name(), component(each)));
        }
        return List.copyOf(parameters.values());
    }

    private static ParameterOutline component(FieldOutline field) {
        return new ParameterOutline(field.name(), field.type(), false, false, false, false);
    }

    /** Static routines of the type that give an instance of it. */
    public List<Way> creators(TypeOutline type) {
        return type.routines().stream().filter(each -> each.kind() == RoutineKind.METHOD && each.traits().isStatic()
                        && !each.traits().isPrivate() && each.returns().simpleName().equals(type.simpleName()))
                .map(each -> new Way(Optional.of(each), each.parameters())).toList();
    }

    /**
     * A builder of a type.
     *
     * @param type  the builder
     * @param build its closing step
     */
    public record BuilderWay(TypeOutline type, RoutineOutline build) {
    }

    /** The type's builder: nested, or any type of the project with a step without parameters that gives the type. */
    public Optional<BuilderWay> builder(TypeOutline product) {
        for (TypeOutline candidate : program.nestedIn(product)) {
            Optional<BuilderWay> way = closing(candidate).filter(each -> gives(each).filter(product::equals).isPresent())
                    .findFirst();
            if (way.isPresent()) {
                return way;
            }
        }
        if (builders == null) {
            builders = new HashMap<>();
            program.types().stream().filter(each -> each.simpleName().endsWith("Builder")).flatMap(this::closing)
                    .forEach(way -> gives(way).ifPresent(made -> builders.putIfAbsent(made, way)));
        }
        return Optional.ofNullable(builders.get(product));
    }

    private Stream<BuilderWay> closing(TypeOutline candidate) {
        return candidate.routines().stream().filter(each -> each.kind() == RoutineKind.METHOD
                && each.parameters().isEmpty() && !each.traits().isStatic()).map(each -> new BuilderWay(candidate, each));
    }

    /** What a step gives, unless that is the builder itself. */
    private Optional<TypeOutline> gives(BuilderWay way) {
        return program.resolve(way.build().returns(), way.type()).filter(made -> !made.equals(way.type()));
    }

    /** The constructor with the most parts; empty where others may call none. */
    public Optional<Way> fullest(TypeOutline type) {
        return constructors(type).stream().max(Comparator.comparingInt(way -> way.parameters().size()));
    }

    /** The name by which the JVM knows a type: nested types with a dollar sign. */
    public String binaryName(TypeOutline type) {
        String packageName = program.fileOf(type).packageName();
        String local = packageName.isEmpty() ? type.name() : type.name().substring(packageName.length() + 1);
        return (packageName.isEmpty() ? "" : packageName + ".") + local.replace('.', '$');
    }
}
