package driftwood.behaviour.view;

import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.source.Language;
import driftwood.tree.Mark;
import driftwood.tree.RoutineKind;
import driftwood.tree.TypeKind;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * What may be queries of the project's types, as far as their declarations tell: routines without parameters that give
 * something and that a client can call. Which of them are is found out by asking.
 */
public final class Candidates {
    /** In larger programs only the types around what is observed are known. */
    private static final int MOST_TYPES = 600;
    /** A number that says nothing by itself, and copies, which are no answers. */
    private static final Set<String> NEVER = Set.of("hashCode", "clone", "getClass", "finalize", "main", "notify", "notifyAll");
    private static final Set<String> PYTHON = Set.of("__len__", "__str__");

    private final Program program;
    private final PythonFields attributes;
    private final Openness openness;

    /** @param root of the project */
    public Candidates(Program program, Path root) {
        this.program = program;
        this.openness = new Openness(program);
        // driftwood: leave hard-coded-instantiation because what fields objects have is read from the sources of this very project
        this.attributes = new PythonFields(program, root);
    }

    /** Of all types, or of some where there are very many. @param near the types around what is observed */
    public Queries of(Collection<TypeOutline> near) {
        Collection<TypeOutline> types = program.types().size() <= MOST_TYPES ? program.types() : near;
        Map<String, List<String>> byType = new TreeMap<>();
        List<String> told = new ArrayList<>();
        for (TypeOutline type : types) {
            if (!type.isModule() && !program.fileOf(type).test()) {
                List<String> names = names(type);
                if (!names.isEmpty()) {
                    byType.put(type.name(), names);
                }
                if (!type.anonymous() && !type.traits().isPrivate()) {
                    told.add(type.name());
                }
            }
        }
        return new Queries(byType, told.stream().sorted().toList());
    }

    private List<String> names(TypeOutline type) {
        if (type.kind() == TypeKind.ENUM && !type.constants().isEmpty()) {
            return List.of();
        }
        boolean python = program.fileOf(type).language().has(Language.Habit.PRIVATE_BY_NAME);
        Stream<String> routines = type.routines().stream().filter(each -> python ? isPublic(each) : isCandidate(type, each))
                .map(RoutineOutline::name);
        Stream<String> fields = python ? attributes.asked(type).stream()
                : type.fields().stream().filter(each -> !each.traits().isStatic()
                        && (type.kind() == TypeKind.RECORD || each.traits().isPublic())).map(each -> each.name());
        return Stream.concat(routines, fields).distinct().sorted().toList();
    }

    private static boolean isPublic(RoutineOutline routine) {
        return routine.kind() == RoutineKind.METHOD && routine.parameters().isEmpty() && !routine.traits().isStatic()
                && !routine.traits().has(Mark.OF_TYPE) && (!routine.name().startsWith("_") || PYTHON.contains(routine.name()));
    }

    private boolean isCandidate(TypeOutline type, RoutineOutline routine) {
        boolean asks = routine.kind() == RoutineKind.METHOD && routine.parameters().isEmpty() && !routine.traits().isStatic()
                && !routine.traits().isPrivate() && !routine.returns().text().equals("void") && !NEVER.contains(routine.name());
        return asks && openness.isOpen(type, routine);
    }
}
