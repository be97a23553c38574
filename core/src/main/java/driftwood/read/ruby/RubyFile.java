package driftwood.read.ruby;

import driftwood.read.AssignedFields.Told;
import driftwood.read.AssignedFields;
import driftwood.read.Choices;
import driftwood.read.sitter.Cst;
import driftwood.source.SourceText;
import driftwood.tree.*;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** A file of Ruby: modules and classes, each a part of its type, and what stands outside of them. */
final class RubyFile extends RubyStatements {
    private static final Set<String> OWN = Set.of("Array", "BasicObject", "Class", "Comparable", "Complex", "Date", "DateTime", "Dir", "Enumerable", "Enumerator", "Exception",
            "FalseClass", "File", "Float", "Hash", "IO", "Integer", "Kernel", "MatchData", "Method", "Module", "NilClass", "Numeric", "Object", "Proc", "Range",
            "Rational", "Regexp", "Set", "StandardError", "String", "StringIO", "Struct", "Symbol", "Thread", "Time", "TrueClass", "URI");

    private final Cst root;
    private final String file;
    private final Deque<String> owners = new ArrayDeque<>();

    RubyFile(SourceText source, Cst root) {
        super(source.text());
        this.root = root;
        String path = source.file().path();
        this.file = path.substring(path.lastIndexOf('/') + 1).replaceFirst("\\.\\w+$", "").replaceAll("\\W", "_");
    }

    Unit unit() {
        List<Node> types = new ArrayList<>();
        List<Node> own = new ArrayList<>();
        List<Cst> loose = new ArrayList<>();
        String comment = "";
        for (Cst each : root.children()) {
            if (each.is("class") || each.is("module")) {
                types.add(isOwn(each) ? type(each, ("+" + text(each.part("name").orElseThrow())).intern()) : declaration(each));
            } else if (each.is("method")) {
                own.add(routine(each, comment, "", Set.of(Mark.STATIC)));
            } else if (each.named() && !each.is("comment")) {
                loose.add(each);
            }
            comment = each.is("comment") ? comment + text(each) + "\n" : each.named() ? "" : comment;
        }
        if (!loose.isEmpty()) {
            Block body = new Block(loose.get(0).start(), loose.get(loose.size() - 1).end(), locals.outside(() -> statements(loose)));
            own.add(new Routine(body.start(), body.end(), "", RoutineKind.INITIALISER, Traits.of(Mark.STATIC), List.of(), TypeRef.NONE, List.of(), Optional.of(body)));
        }
        if (!own.isEmpty()) {
            types.add(new TypeDeclaration(0, text.length(), file.intern(), TypeKind.CLASS, Traits.of(Mark.MODULE, Mark.STATIC), List.of(), List.of(), List.of(),
                    List.of(), own));
        }
        return new Unit(0, text.length(), "", List.of(), types);
    }

    /** What is added to one of the language's own classes makes it no type of the project: asking for it asks for something foreign. */
    private boolean isOwn(Cst node) {
        return OWN.contains(node.part("name").map(this::text).orElse("")) && node.part("superclass").isEmpty();
    }

    @Override
    String owner() {
        return owners.isEmpty() ? "" : owners.peek();
    }

    /** {@code class Quay::Desk} is Desk in Quay. */
    @Override
    TypeDeclaration declaration(Cst node) {
        String[] names = node.part("name").map(this::text).orElse("").replaceFirst("^::", "").split("::");
        TypeDeclaration made = type(node, names[names.length - 1].intern());
        for (int i = names.length - 2; i >= 0; i--) {
            made = new TypeDeclaration(node.start(), node.end(), names[i].intern(), TypeKind.CLASS, Traits.of(Mark.PARTIAL, Mark.MODULE, Mark.STATIC), List.of(), List.of(),
                    List.of(), List.of(), List.of(made));
        }
        return made;
    }

    private TypeDeclaration type(Cst node, String name) {
        owners.push(name);
        List<TypeRef> parents = new ArrayList<>();
        node.part("superclass").filter(each -> !each.inner().isEmpty()).map(each -> each.inner().get(0))
                .map(each -> each.is("element_reference") ? each.part("object").orElse(each) : each).filter(each -> RubyCalls.isType(each, this))
                .ifPresent(each -> parents.add(RubyCalls.type(each, this)));
        RubyMembers read = new RubyMembers(this, name, parents);
        // The grammar puts a comment at the very beginning of a class before its body.
        read.of(Stream.concat(node.children().stream().filter(each -> each.is("comment")),
                node.part("body").map(Cst::children).orElse(List.of()).stream()).toList(), false);
        List<Node> members = read.all();
        owners.pop();
        Set<Mark> marks = EnumSet.of(Mark.PARTIAL);
        if (node.is("module")) {
            boolean mixedIn = members.stream().anyMatch(each -> each instanceof Routine routine && routine.kind() == RoutineKind.METHOD && !routine.traits().isStatic());
            marks.addAll(mixedIn ? Set.of(Mark.ABSTRACT) : Set.of(Mark.MODULE, Mark.STATIC));
        }
        return new TypeDeclaration(node.start(), node.end(), name, TypeKind.CLASS, new Traits(marks, Set.of()), List.of(), parents, List.of(), List.of(), members);
    }

    /** A method. @param owner name of the class around, empty for one outside of classes */
    Routine routine(Cst node, String comment, String owner, Set<Mark> said) {
        String name = node.part("name").map(this::text).orElse("");
        boolean constructor = name.equals("initialize") && !owner.isEmpty();
        List<Parameter> parameters = node.part("parameters").map(this::parameters).orElse(List.of()).stream().map(each -> typed(each, comment)).toList();
        Block body = locals.inRoutine(parameters.stream().map(Parameter::name).toList(), () -> node.part("parameters").map(each -> known(each, node)).orElseGet(() -> body(node)));
        Block given = constructor || name.endsWith("=") ? body : Choices.given(body);
        Set<Mark> marks = EnumSet.noneOf(Mark.class);
        marks.addAll(said);
        boolean refuses = body.statements().size() == 1 && body.statements().get(0) instanceof Throw error && Search.any(error, each -> each instanceof Creation creation
                && creation.type().simpleName().equals("NotImplementedError"));
        if (refuses) {
            marks.add(Mark.ABSTRACT);
        }
        Told returns = RubyTypes.result(comment);
        if (returns.nullable()) {
            marks.add(Mark.NULLABLE);
        }
        return new Routine(node.start(), node.end(), constructor ? owner : name, constructor ? RoutineKind.CONSTRUCTOR : RoutineKind.METHOD,
                new Traits(marks, Set.of()), List.of(), returns.type(), parameters, Optional.of(given));
    }

    /** Blocks and rests are known in the body as well, though nobody hands them over by place. */
    private Block known(Cst parameters, Cst node) {
        parameters.inner().forEach(each -> each.part("name").map(this::text).ifPresent(locals::know));
        return body(node);
    }

    private Block body(Cst node) {
        return node.part("body").map(this::block).orElseGet(() -> new Block(node.end(), node.end(), List.of()));
    }

    private static Parameter typed(Parameter parameter, String comment) {
        Told said = RubyTypes.parameter(comment, parameter.name());
        return said.type().isPresent() || said.nullable() ? new Parameter(parameter.start(), parameter.end(), parameter.name(), said.type(),
                said.nullable() ? parameter.traits().and(Mark.NULLABLE) : parameter.traits(), parameter.variadic(), parameter.fallback()) : parameter;
    }

    @Override
    List<Parameter> parameters(Cst list) {
        List<Parameter> made = new ArrayList<>();
        for (Cst each : list.inner()) {
            boolean rest = each.is("splat_parameter") || each.is("hash_splat_parameter");
            Optional<Cst> name = each.is("identifier") ? Optional.of(each) : each.part("name");
            if (name.isPresent() && !each.is("block_parameter")) {
                Optional<Node> fallback = each.part("value").map(this::expression);
                boolean none = fallback.filter(one -> one instanceof Literal literal && literal.kind() == LiteralKind.NULL).isPresent();
                Traits traits = each.is("keyword_parameter") ? Traits.of(Mark.NAMED) : Traits.NONE;
                made.add(new Parameter(each.start(), each.end(), text(name.get()), TypeRef.NONE, none ? traits.and(Mark.NULLABLE) : traits, rest, fallback));
            } else if (each.is("destructured_parameter")) {
                each.inner().forEach(one -> made.add(new Parameter(one.start(), one.end(), text(one), TypeRef.NONE, Traits.NONE, false, Optional.empty())));
            }
        }
        return made;
    }

    /** What the routines of a type keep in the object. */
    static List<Node> fields(List<Routine> routines, Set<String> known) {
        return new AssignedFields(new TypeRef("bool"), assignment -> Told.NOTHING).of(routines, new HashSet<>(known));
    }
}
