package driftwood.read.python;

import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Python's classes: enums, protocols and data classes among them. */
final class PythonClasses {
    private static final Set<String> ENUMS = Set.of("Enum", "IntEnum", "StrEnum", "Flag", "IntFlag", "TextChoices",
            "IntegerChoices");
    private static final Set<String> DATA = Set.of("dataclass", "define", "frozen", "attrs", "s");

    private final PythonModule module;
    private final PythonFields fields;

    PythonClasses(PythonModule module) {
        this.module = module;
        this.fields = new PythonFields(module);
    }

    TypeDeclaration type(Cst node, Set<String> decorators) {
        String name = node.part("name").map(module::text).orElse("");
        List<TypeRef> supertypes = new ArrayList<>();
        Set<Mark> marks = EnumSet.noneOf(Mark.class);
        for (Cst each : node.part("superclasses").map(Cst::inner).orElse(List.of())) {
            String base = module.text(each);
            if (each.is("keyword_argument")) {
                if (base.contains("ABCMeta")) {
                    marks.add(Mark.ABSTRACT);
                }
            } else if (!base.equals("object")) {
                supertypes.add(PythonTypes.of(base).type());
            }
        }
        supertypes.removeIf(each -> !each.isPresent());
        boolean isEnum = supertypes.stream().anyMatch(each -> ENUMS.contains(each.simpleName()));
        boolean protocol = supertypes.stream().anyMatch(each -> each.simpleName().equals("Protocol"));
        boolean data = decorators.stream().anyMatch(DATA::contains);
        List<Node> members = members(node, name, isEnum, data);
        if (members.stream().anyMatch(each -> each instanceof Routine routine && routine.traits().isAbstract())
                || supertypes.stream().anyMatch(each -> each.simpleName().equals("ABC"))) {
            marks.add(Mark.ABSTRACT);
        }
        if (data) {
            marks.add(Mark.DATA);
        }
        return new TypeDeclaration(node.start(), node.end(), name.intern(), isEnum ? TypeKind.ENUM
                : protocol ? TypeKind.INTERFACE : TypeKind.CLASS, new Traits(marks, Set.copyOf(decorators)), List.of(),
                supertypes, List.of(), List.of(), members);
    }

    private List<Node> members(Cst node, String name, boolean isEnum, boolean data) {
        List<Node> members = new ArrayList<>();
        List<Routine> routines = new ArrayList<>();
        Set<String> known = new HashSet<>();
        List<Field> parts = new ArrayList<>();
        for (Cst each : node.part("body").map(Cst::inner).orElse(List.of())) {
            Cst bare = each.is("decorated_definition") ? each.part("definition").orElse(each) : each;
            if (bare.is("function_definition")) {
                Routine routine = new PythonRoutines(module).routine(bare, module.decoratorsOf(each), name);
                routines.add(routine);
                members.add(routine);
            } else if (bare.is("class_definition")) {
                members.add(module.type(bare, module.decoratorsOf(each)));
            } else {
                fields.assigned(each, !(data && isAnnotated(each))).ifPresent(found -> {
                    Field field = (Field) found;
                    known.add(field.name());
                    if (isEnum && field.initial().isPresent()) {
                        members.add(constant(field));
                    } else {
                        members.add(field);
                        parts.add(field);
                    }
                });
            }
        }
        if (data && routines.stream().noneMatch(each -> each.kind() == RoutineKind.CONSTRUCTOR)) {
            members.add(constructor(node, name, parts));
        }
        members.addAll(fields.ofInstance(routines, known));
        return members;
    }

    private static boolean isAnnotated(Cst statement) {
        return statement.inner().size() == 1 && statement.inner().get(0).part("type").isPresent();
    }

    private static Node constant(Field field) {
        return new EnumConstant(field.start(), field.end(), field.name(), List.of(field.initial().orElseThrow()),
                Optional.empty());
    }

    /** The constructor that a data class gets from its fields. */
    private static Routine constructor(Cst node, String name, List<Field> parts) {
        List<Parameter> parameters = new ArrayList<>();
        for (Field part : parts) {
            if (!part.traits().isStatic()) {
                parameters.add(new Parameter(part.start(), part.end(), part.name(), part.type(), part.traits(), false,
                        part.initial()));
            }
        }
        return new Routine(node.start(), node.start(), name.intern(), RoutineKind.CONSTRUCTOR,
                Traits.of(Mark.IMPLIED), List.of(), TypeRef.NONE, parameters, Optional.empty());
    }
}
