package driftwood.read.ecmascript;

import driftwood.read.AssignedFields;
import driftwood.read.AssignedFields.Told;
import driftwood.read.sitter.Cst;
import driftwood.source.SourceText;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** The whole tree of one module: its functions and values, its classes, and what of it is run when it is loaded. */
final class EcmaModule extends EcmaClasses {
    private static final Set<String> TYPES = Set.of("class_declaration", "abstract_class_declaration", "interface_declaration", "enum_declaration");

    /** What only modules say, which are loaded by others or load them. */
    private static final Pattern LOADING = Pattern.compile("\\b(?:require|exports|define)\\b");

    private final List<Cst> top;
    private final String packageName;
    private final String module;
    private final EcmaImports imports;
    private final List<Node> members = new ArrayList<>();
    private final List<Cst> loose = new ArrayList<>();
    private final EcmaPrototypes prototypes;
    private final Traits traits;
    private final Map<String, Cst> functions = new LinkedHashMap<>();

    EcmaModule(SourceText source, Cst root) {
        super(source.text());
        this.top = EcmaWrappers.opened(root, this);
        this.prototypes = new EcmaPrototypes(top, this);
        Traits alone = Traits.of(Mark.MODULE, Mark.STATIC);
        boolean script = root.inner().stream().noneMatch(each -> each.is("import_statement") || each.is("export_statement")) && !LOADING.matcher(text).find();
        this.traits = !script ? alone : top.equals(root.inner()) ? alone.and(Mark.SCRIPT) : alone.and(Mark.SCRIPT).and(Mark.WRAPPED);
        String path = source.file().path();
        List<String> names = new ArrayList<>();
        for (String each : path.split("/")) {
            names.add(plain(each));
        }
        boolean whole = names.get(names.size() - 1).equals("index") && names.size() > 1;
        if (whole) {
            names.remove(names.size() - 1);
        }
        this.module = names.get(names.size() - 1).intern();
        this.packageName = String.join(".", names.subList(0, names.size() - 1)).intern();
        this.imports = new EcmaImports(text, whole ? packageName.isEmpty() ? module : packageName + "." + module : packageName);
    }

    /** A part of a path as a name: without its ending, and with nothing that would divide it. */
    static String plain(String part) {
        return part.replaceFirst("(\\.d)?\\.[cm]?[jt]sx?$", "").replaceAll("[^\\w$]", "_");
    }

    Unit unit() {
        top.forEach(this::top);
        prototypes.types(functions, this).forEach(members::add);
        functions.forEach((name, node) -> members.add(routine(node, name, "")));
        if (!loose.isEmpty()) {
            Block body = new Block(loose.get(0).start(), loose.get(loose.size() - 1).end(), statements(loose));
            members.add(new Routine(body.start(), body.end(), "", RoutineKind.INITIALISER, Traits.of(Mark.STATIC), List.of(), TypeRef.NONE, List.of(),
                    Optional.of(body)));
        }
        TypeDeclaration type = new TypeDeclaration(0, text.length(), module, TypeKind.CLASS, traits, List.of(), List.of(), List.of(),
                List.of(), members);
        return new Unit(0, text.length(), packageName, imports.all(), List.of(type));
    }

    private void top(Cst node) {
        // driftwood: leave type-switch because the grammar fixes what stands at the top of a module
        switch (node.kind()) {
            case "import_statement" -> imports.add(node);
            case "export_statement" -> {
                imports.add(node);
                Optional<Cst> inner = node.part("declaration").or(() -> node.part("value"));
                inner.ifPresent(this::top);
            }
            case "class_declaration", "abstract_class_declaration", "interface_declaration", "enum_declaration" -> members.add(declaration(node));
            case "class" -> members.add(type(node, node.part("name").map(this::text).orElse(module)));
            case "type_alias_declaration" -> node.part("value").filter(each -> each.is("object_type")).ifPresent(each -> members.add(declaration(node)));
            case "function_declaration", "generator_function_declaration" -> function(node.part("name").map(this::text).orElse(""), node, node);
            case "lexical_declaration", "variable_declaration" -> node.inner().stream().filter(each -> each.is("variable_declarator")).forEach(each ->
                    value(node, each));
            case "expression_statement" -> assigned(node);
            case "return_statement" -> handedOut(node);
            case "internal_module", "module", "ambient_declaration" -> node.part("body").map(Cst::inner).orElse(node.inner()).forEach(this::top);
            case "function_signature", "import_alias", "string", "identifier" -> { }
            default -> loose.add(node);
        }
    }

    /** A function of the module; of two wrapped apart that have one name the second is run code. */
    private void function(String name, Cst function, Cst statement) {
        if (functions.putIfAbsent(name, function) != null) {
            loose.add(statement);
        }
    }

    /** What the function that a module is wrapped in gives back: names that it knows, or functions of its own. */
    private void handedOut(Cst back) {
        Optional<Cst> value = back.inner().stream().findFirst();
        if (value.filter(this::isOfFunctions).isPresent()) {
            value.get().inner().forEach(each -> EcmaPrototypes.functionOf(each).ifPresent(one -> functions.putIfAbsent(EcmaPrototypes.nameOf(each, this), one)));
        } else if (value.filter(each -> !each.is("identifier")).isPresent()) {
            loose.add(back);
        }
    }

    /** A value of the module: a function or class by its name, what another module gives, or a field. */
    private void value(Cst declaration, Cst declarator) {
        Cst name = declarator.part("name").orElse(declarator);
        Optional<Cst> value = declarator.part("value");
        Optional<String> required = value.flatMap(this::required);
        Optional<TypeDeclaration> extended = value.flatMap(each -> EcmaExtended.of(text(name), each, this));
        List<Node> tags = declaration.has("const") ? value.map(each -> EcmaTags.of(each, this)).orElse(List.of()) : List.of();
        if (required.isPresent()) {
            if (name.is("identifier")) {
                imports.whole(name, required.get());
            } else {
                name.inner().forEach(each -> imports.named(each.part("key").orElse(each), required.get()));
            }
        } else if (!name.is("identifier")) {
            loose.add(declaration);
        } else if (value.filter(each -> EcmaPrototypes.FUNCTIONS.contains(each.kind())).isPresent()) {
            function(text(name), value.get(), declaration);
        } else if (value.filter(each -> each.is("class")).isPresent()) {
            members.add(type(value.get(), text(name)));
        } else if (extended.isPresent()) {
            members.add(extended.get());
        } else if (tags.size() > 1) {
            members.add(new TypeDeclaration(declarator.start(), declarator.end(), text(name), TypeKind.ENUM, Traits.of(Mark.STATIC), List.of(), List.of(), List.of(), List.of(), tags));
        } else {
            Told type = declarator.part("type").map(each -> EcmaTypes.of(text(each))).orElse(Told.NOTHING);
            Optional<Node> initial = value.map(this::expression);
            boolean constant = declaration.has("const") || text(name).matches("[A-Z][A-Z0-9_]+") && initial.filter(Literal.class::isInstance).isPresent();
            Traits traits = constant ? Traits.of(Mark.STATIC, Mark.FINAL) : Traits.of(Mark.STATIC);
            members.add(new Field(declarator.start(), declarator.end(), text(name), type.type().isPresent() ? type.type()
                    : initial.map(AssignedFields::typeOf).orElse(TypeRef.NONE), type.nullable() ? traits.and(Mark.NULLABLE) : traits, initial));
        }
    }

    /** Whether all that an object holds are functions of its own and names, and one is a function. */
    private boolean isOfFunctions(Cst object) {
        return object.is("object") && object.inner().stream().anyMatch(each -> EcmaPrototypes.functionOf(each).isPresent()) && object.inner().stream().allMatch(each ->
                EcmaPrototypes.functionOf(each).isPresent() || each.is("shorthand_property_identifier") || each.is("pair") && each.part("value").filter(one -> one.is("identifier")).isPresent());
    }

    private Optional<String> required(Cst value) {
        boolean requires = value.is("call_expression") && value.part("function").map(this::text).orElse("").equals("require");
        return requires ? value.part("arguments").filter(each -> each.inner().size() == 1 && each.inner().get(0).is("string"))
                .map(each -> imports.module(text(each.inner().get(0)).replaceAll("^.|.$", ""))) : Optional.empty();
    }

    /** {@code exports.f = function}, {@code Tug.prototype.tow = function}: what is given a function has a routine. */
    private void assigned(Cst statement) {
        Cst only = statement.inner().isEmpty() ? statement : statement.inner().get(0);
        if (only.is("internal_module") || only.is("module")) {
            top(only);
            return;
        }
        if (prototypes.takes(only, this)) {
            return;
        }
        Optional<Cst> target = only.is("assignment_expression") ? only.part("left").filter(each -> each.is("member_expression")) : Optional.empty();
        Optional<Cst> value = only.part("right");
        if (target.isPresent() && text(target.get()).equals("module.exports") && value.filter(this::isOfFunctions).isPresent()) {
            value.get().inner().forEach(each -> EcmaPrototypes.functionOf(each).ifPresent(one -> functions.putIfAbsent(EcmaPrototypes.nameOf(each, this), one)));
            return;
        }
        Optional<TypeDeclaration> extended = target.flatMap(each -> each.part("property")).flatMap(each -> value.flatMap(one -> EcmaExtended.of(text(each), one, this)));
        if (extended.isPresent()) {
            members.add(extended.get());
            return;
        }
        if (target.isEmpty() || value.filter(each -> EcmaPrototypes.FUNCTIONS.contains(each.kind()) || each.is("class")).isEmpty()) {
            loose.add(statement);
            return;
        }
        String owner = target.get().part("object").map(this::text).orElse("");
        String name = target.get().part("property").map(this::text).orElse("");
        if (value.get().is("class")) {
            members.add(type(value.get(), value.get().part("name").map(this::text).orElse(name.equals("exports") ? module : name)));
        } else if (owner.matches("[\\w$]+(\\.[\\w$]+)*") && !owner.endsWith(".prototype")) {
            functions.putIfAbsent(name, value.get());
        } else {
            loose.add(statement);
        }
    }
}
