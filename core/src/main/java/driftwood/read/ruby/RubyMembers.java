package driftwood.read.ruby;

import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The members of one part of a class or module, with the visibility that words between them give. */
final class RubyMembers {
    private static final Set<String> VISIBILITY = Set.of("private", "protected", "public", "private_class_method", "module_function");

    private final RubyFile file;
    private final String owner;
    private final List<TypeRef> parents;
    private final List<Node> members = new ArrayList<>();
    private final List<Routine> routines = new ArrayList<>();
    private final Set<String> known = new HashSet<>();
    private final List<Cst> loose = new ArrayList<>();
    /** Fields that may be written from outside, where nothing else declares them. */
    private final Map<String, Cst> open = new LinkedHashMap<>();
    private Mark visibility = Mark.PUBLIC;

    RubyMembers(RubyFile file, String owner, List<TypeRef> parents) {
        this.file = file;
        this.owner = owner;
        this.parents = parents;
    }

    /** @param shared whether they belong to the class rather than to its instances */
    void of(List<Cst> body, boolean shared) {
        String comment = "";
        Mark before = visibility;
        for (Cst each : body) {
            // driftwood: leave type-switch because the grammar fixes what members there are
            switch (each.kind()) {
                case "class", "module" -> members.add(file.declaration(each));
                case "method" -> routine(each, comment, shared, visibility);
                case "singleton_method" -> routine(each, comment, true, Mark.PUBLIC);
                case "singleton_class" -> of(each.part("body").map(Cst::children).orElse(List.of()), true);
                case "assignment" -> assigned(each);
                case "identifier" -> word(file.text(each));
                case "call" -> called(each, comment, shared);
                default -> {
                    if (each.named() && !each.is("comment")) {
                        loose.add(each);
                    }
                }
            }
            comment = each.is("comment") ? comment + file.text(each) + "\n" : each.named() ? "" : comment;
        }
        visibility = before;
    }

    private void word(String word) {
        if (VISIBILITY.contains(word)) {
            visibility = word.startsWith("private") ? Mark.PRIVATE : word.equals("protected") ? Mark.PROTECTED : Mark.PUBLIC;
        }
    }

    private void routine(Cst node, String comment, boolean shared, Mark seen) {
        Routine made = file.routine(node, comment, owner, shared ? Set.of(seen, Mark.STATIC) : Set.of(seen));
        routines.add(made);
        members.add(made);
    }

    /** Constants; a structure that is made and named is a class. */
    private void assigned(Cst node) {
        Cst left = node.part("left").orElse(node);
        if (!left.is("constant") && !left.is("class_variable")) {
            loose.add(node);
            return;
        }
        String name = file.text(left).replace("@", "").intern();
        Optional<Cst> made = node.part("right").filter(each -> each.is("call") && file.text(each).startsWith("Struct.new("));
        if (made.isPresent()) {
            members.add(structure(node, name, made.get()));
        } else {
            known.add(name);
            TypeRef type = node.part("right").filter(each -> each.is("regex")).map(each -> new TypeRef("Regexp")).orElse(TypeRef.NONE);
            members.add(new Field(node.start(), node.end(), name, type, left.is("constant") ? Traits.of(Mark.STATIC, Mark.FINAL) : Traits.of(Mark.STATIC),
                    Optional.of(file.locals.outside(() -> file.part(node, "right")))));
        }
    }

    private TypeDeclaration structure(Cst node, String name, Cst made) {
        List<Node> parts = new ArrayList<>();
        List<Parameter> parameters = new ArrayList<>();
        for (Cst each : made.part("arguments").map(Cst::inner).orElse(List.of())) {
            if (each.is("simple_symbol")) {
                String part = file.text(each).substring(1).intern();
                parts.add(new Field(each.start(), each.end(), part, TypeRef.NONE, Traits.of(Mark.PUBLIC), Optional.empty()));
                parameters.add(new Parameter(each.start(), each.end(), part, TypeRef.NONE, Traits.NONE, false, Optional.empty()));
            }
        }
        parts.add(new Routine(node.start(), node.start(), name, RoutineKind.CONSTRUCTOR, Traits.of(Mark.IMPLIED), List.of(), TypeRef.NONE, parameters, Optional.empty()));
        return new TypeDeclaration(node.start(), node.end(), name, TypeKind.CLASS, Traits.of(Mark.DATA, Mark.PARTIAL), List.of(), List.of(), List.of(), List.of(), parts);
    }

    /** Calls in the middle of a class declare: accessors, parents, visibility. */
    private void called(Cst node, String comment, boolean shared) {
        String name = node.part("method").map(file::text).orElse("");
        List<Cst> given = node.part("arguments").map(Cst::inner).orElse(List.of());
        if (name.startsWith("attr_") || name.equals("attr")) {
            given.stream().filter(each -> each.is("simple_symbol")).forEach(each -> accessor(each, !name.equals("attr_writer"), name.equals("attr_writer") || name.equals("attr_accessor")));
        } else if (name.equals("include") || name.equals("prepend") || name.equals("extend")) {
            given.stream().filter(each -> RubyCalls.isType(each, file)).forEach(each -> parents.add(RubyCalls.type(each, file)));
        } else if (VISIBILITY.contains(name) && given.size() == 1 && given.get(0).is("method")) {
            routine(given.get(0), comment, shared || name.equals("module_function"), Mark.valueOf(name.startsWith("private") ? "PRIVATE" : name.equals("protected")
                    ? name.toUpperCase(Locale.ROOT) : "PUBLIC"));
        } else if (!VISIBILITY.contains(name) || node.part("receiver").isPresent()) {
            loose.add(node);
        }
    }

    private void accessor(Cst symbol, boolean read, boolean written) {
        String name = file.text(symbol).substring(1).intern();
        if (written) {
            open.putIfAbsent(name, symbol);
        }
        if (read) {
            int at = symbol.start();
            members.add(new Routine(at, symbol.end(), name, RoutineKind.METHOD, Traits.of(Mark.ACCESSOR, Mark.IMPLIED, visibility), List.of(), TypeRef.NONE, List.of(),
                    Optional.of(new Block(at, at, List.of(new Return(at, at, Optional.of(new Member(at, at, new Name(at, at, "this"), name))))))));
        }
    }

    /** All members, with the fields that routines give to the object, and what is run when the class is read. */
    List<Node> all() {
        members.addAll(RubyFile.fields(routines, known));
        Set<String> kept = members.stream().filter(Field.class::isInstance).map(each -> ((Field) each).name()).collect(Collectors.toSet());
        open.forEach((name, symbol) -> {
            if (!kept.contains(name)) {
                members.add(new Field(symbol.start(), symbol.end(), name, TypeRef.NONE, Traits.of(Mark.PUBLIC), Optional.empty()));
            }
        });
        if (!loose.isEmpty()) {
            Block body = new Block(loose.get(0).start(), loose.get(loose.size() - 1).end(), file.locals.outside(() -> file.statements(loose)));
            members.add(new Routine(body.start(), body.end(), "", RoutineKind.INITIALISER, Traits.of(Mark.STATIC), List.of(), TypeRef.NONE, List.of(), Optional.of(body)));
        }
        return members;
    }
}
