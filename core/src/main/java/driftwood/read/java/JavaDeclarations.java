package driftwood.read.java;

import com.sun.source.tree.*;
import com.sun.source.util.SourcePositions;
import driftwood.read.Nesting;
import driftwood.tree.Block;
import driftwood.tree.EnumConstant;
import driftwood.tree.Field;
import driftwood.tree.Import;
import driftwood.tree.Mark;
import driftwood.tree.Node;
import driftwood.tree.Other;
import driftwood.tree.Parameter;
import driftwood.tree.Routine;
import driftwood.tree.RoutineKind;
import driftwood.tree.Traits;
import driftwood.tree.TypeDeclaration;
import driftwood.tree.TypeKind;
import driftwood.tree.TypeRef;
import driftwood.tree.Unit;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Modifier;

/** Java's declarations: the whole tree of one file. */
final class JavaDeclarations extends JavaStatements {
    /** Annotations that mean the same in every project. */
    private static final Map<String, Mark> MARKING = Map.of("Override", Mark.OVERRIDES, "Deprecated", Mark.DEPRECATED,
            "CheckForNull", Mark.NULLABLE);

    private final Nesting nested = new Nesting("types", 64);
    private final CompilationUnitTree file;

    JavaDeclarations(CompilationUnitTree file, SourcePositions positions, String text, Spelling spelling) {
        super(file, positions, text, spelling);
        this.file = file;
    }

    Unit unit() {
        String packageName = file.getPackageName() == null ? "" : types.of(file.getPackageName()).text();
        List<Import> imports = new ArrayList<>();
        for (ImportTree each : file.getImports()) {
            String name = types.of(each.getQualifiedIdentifier()).text();
            boolean onDemand = name.endsWith(".*");
            imports.add(new Import(start(each), end(each), onDemand ? name.substring(0, name.length() - 2) : name,
                    onDemand, each.isStatic(), onDemand ? "" : name.substring(name.lastIndexOf('.') + 1)));
        }
        return new Unit(0, text.length(), packageName, imports, nodes(file.getTypeDecls()));
    }

    @Override
    TypeDeclaration typeDeclaration(ClassTree tree) {
        return nested.in(() -> declaration(tree));
    }

    private TypeDeclaration declaration(ClassTree tree) {
        TypeKind kind = switch (tree.getKind()) {
            case INTERFACE -> TypeKind.INTERFACE;
            case ENUM -> TypeKind.ENUM;
            case ANNOTATION_TYPE -> TypeKind.ANNOTATION;
            case RECORD -> TypeKind.RECORD;
            default -> TypeKind.CLASS;
        };
        List<TypeRef> supertypes = new ArrayList<>();
        if (tree.getExtendsClause() != null) {
            supertypes.add(types.of(tree.getExtendsClause()));
        }
        tree.getImplementsClause().forEach(each -> supertypes.add(types.of(each)));
        List<TypeRef> permitted = tree.getPermitsClause().stream().map(types::of).toList();
        List<Parameter> components = new ArrayList<>();
        List<Node> members = new ArrayList<>();
        for (Tree member : tree.getMembers()) {
            if (kind == TypeKind.RECORD && member instanceof VariableTree field
                    && !field.getModifiers().getFlags().contains(Modifier.STATIC)) {
                components.add(parameter(field));
            }
            members.add(member(member, tree, kind, components));
        }
        return new TypeDeclaration(declared(tree, tree.getModifiers()), end(tree), spelling.of(tree.getSimpleName()),
                kind, traits(tree.getModifiers()), names(tree.getTypeParameters()), supertypes, components, permitted,
                members);
    }

    private Node member(Tree member, ClassTree owner, TypeKind kind, List<Parameter> components) {
        if (member instanceof VariableTree field) {
            return kind == TypeKind.ENUM && isConstant(field, owner) ? constant(field)
                    : field(field, kind == TypeKind.INTERFACE || kind == TypeKind.ANNOTATION);
        }
        if (member instanceof MethodTree routine) {
            return routine(routine, owner, components);
        }
        if (member instanceof BlockTree block) {
            Traits traits = block.isStatic() ? Traits.of(Mark.STATIC) : Traits.NONE;
            return new Routine(start(block), end(block), "", RoutineKind.INITIALISER, traits, List.of(), TypeRef.NONE,
                    List.of(), Optional.of(block(block)));
        }
        return node(member);
    }

    /** The parser gives a constant the enum's own type and a creation of it, which nothing else can have. */
    private static boolean isConstant(VariableTree field, ClassTree owner) {
        return field.getInitializer() instanceof NewClassTree creation
                && creation.getIdentifier() instanceof IdentifierTree type
                && type.getName().equals(owner.getSimpleName());
    }

    private Node constant(VariableTree field) {
        NewClassTree creation = (NewClassTree) field.getInitializer();
        return new EnumConstant(start(field), end(field), spelling.of(field.getName()), nodes(creation.getArguments()),
                Optional.ofNullable(creation.getClassBody()).map(this::typeDeclaration));
    }

    /** @param constant whether it is one without saying so, as in an interface */
    private Node field(VariableTree field, boolean constant) {
        Traits traits = traits(field.getModifiers());
        return new Field(declared(field, field.getModifiers()), end(field), spelling.of(field.getName()), types.of(field.getType()),
                constant ? traits.and(Mark.STATIC).and(Mark.FINAL) : traits, optional(field.getInitializer()));
    }

    private Node routine(MethodTree tree, ClassTree owner, List<Parameter> components) {
        boolean constructor = tree.getReturnType() == null;
        List<Parameter> parameters = new ArrayList<>();
        tree.getParameters().forEach(each -> parameters.add(parameter(each)));
        if (constructor && isCompact(tree)) {
            parameters.addAll(components);
        }
        Optional<Block> body = Optional.ofNullable(tree.getBody()).map(this::block);
        return new Routine(declared(tree, tree.getModifiers()), end(tree),
                constructor ? spelling.of(owner.getSimpleName()) : spelling.of(tree.getName()),
                constructor ? RoutineKind.CONSTRUCTOR : RoutineKind.METHOD, traits(tree.getModifiers()),
                generics(tree.getTypeParameters()), types.of(tree.getReturnType()), parameters, body);
    }

    /** A record's compact constructor: no parenthesis between its start and its body. */
    private boolean isCompact(MethodTree tree) {
        if (!tree.getParameters().isEmpty() || tree.getBody() == null) {
            return false;
        }
        int from = declared(tree, tree.getModifiers());
        return text.substring(from, Math.max(from, start(tree.getBody()))).indexOf('(') < 0;
    }

    @Override
    Parameter parameter(VariableTree tree) {
        TypeRef type = types.of(tree.getType());
        boolean variadic = type.isArray() && text.substring(start(tree), end(tree)).contains("...");
        return new Parameter(start(tree), end(tree), spelling.of(tree.getName()), type, traits(tree.getModifiers()),
                variadic, Optional.empty());
    }

    /** With the first bound, which is what the JVM knows of them. */
    private static List<String> generics(List<? extends TypeParameterTree> parameters) {
        return parameters.stream().map(each -> each.getName() + (each.getBounds().isEmpty() ? ""
                : " extends " + each.getBounds().get(0))).toList();
    }

    private List<String> names(List<? extends TypeParameterTree> parameters) {
        return parameters.stream().map(each -> spelling.of(each.getName())).toList();
    }

    private Traits traits(ModifiersTree tree) {
        if (tree.getFlags().isEmpty() && tree.getAnnotations().isEmpty()) {
            return Traits.NONE;
        }
        Set<Mark> marks = EnumSet.noneOf(Mark.class);
        tree.getFlags().forEach(flag -> marks.add(Mark.valueOf(flag.name())));
        Set<String> annotations = new LinkedHashSet<>();
        for (AnnotationTree each : tree.getAnnotations()) {
            String name = types.of(each.getAnnotationType()).simpleName();
            annotations.add(name);
            if (name.endsWith("Nullable")) {
                marks.add(Mark.NULLABLE);
            } else if (MARKING.containsKey(name)) {
                marks.add(MARKING.get(name));
            }
        }
        return new Traits(marks, annotations);
    }

    /** Where a declaration begins for a reader: behind its annotations. */
    private int declared(Tree tree, ModifiersTree modifiers) {
        int at = start(tree);
        for (AnnotationTree annotation : modifiers.getAnnotations()) {
            at = Math.max(at, end(annotation));
        }
        while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
            at++;
        }
        return at;
    }

    @Override
    public Node visitErroneous(ErroneousTree tree, Void unused) {
        return new Other(start(tree), end(tree), "error", nodes(tree.getErrorTrees()));
    }
}
