package driftwood.read.ecmascript;

import driftwood.read.AssignedFields;
import driftwood.read.AssignedFields.Told;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The classes of a module that are written as functions: what is given to their prototypes is theirs. */
final class EcmaPrototypes {
    /** What makes a function, as a value or as a member. */
    static final Set<String> FUNCTIONS = Set.of("function_expression", "arrow_function", "generator_function", "method_definition");
    private static final String END = ".prototype";

    /** A function that gives an object so many routines makes a class. */
    private static final int MEMBERS = 2;

    /** Routines by the name of the function. */
    private final Map<String, List<Routine>> routines = new LinkedHashMap<>();
    private final Map<String, TypeRef> parents = new LinkedHashMap<>();
    /** Names of what the module declares as a class: what is added to one of them is no second class. */
    private final Set<String> declared = new HashSet<>();

    /** @param top what stands at the top of the module */
    EcmaPrototypes(List<Cst> top, EcmaClasses reader) {
        for (Cst each : top) {
            Cst inner = each.is("export_statement") ? each.part("declaration").or(() -> each.part("value")).orElse(each) : each;
            if (inner.kind().startsWith("class") || inner.is("abstract_class_declaration")) {
                inner.part("name").map(reader::text).ifPresent(declared::add);
            }
        }
    }

    /** Takes a statement's expression where it gives a prototype something. @return whether it did */
    boolean takes(Cst node, EcmaClasses reader) {
        return node.is("assignment_expression") ? isAssigned(node, reader) : node.is("call_expression") && isCopied(node, reader);
    }

    /** {@code Tug.prototype.tow = function}, {@code Tug.prototype = {...}}, {@code Tug.prototype = Object.create(Boat.prototype)}. */
    private boolean isAssigned(Cst node, EcmaClasses reader) {
        String target = node.part("left").filter(each -> each.is("member_expression")).map(reader::text).orElse("");
        Optional<Cst> value = node.part("right");
        if (target.endsWith(END) && value.isPresent() && !declared.contains(type(target))) {
            return isMembers(target, value.get(), reader) || isParent(target, reader.text(value.get()));
        }
        int at = Math.max(0, target.lastIndexOf('.'));
        String type = type(target.substring(0, at));
        if (value.filter(each -> FUNCTIONS.contains(each.kind())).isEmpty() || !target.substring(0, at).endsWith(END) || declared.contains(type)) {
            return false;
        }
        add(type, target.substring(at + 1), value.get(), reader);
        return true;
    }

    /** {@code Object.assign(Tug.prototype, {...})}, {@code util.inherits(Tug, Boat)}. */
    private boolean isCopied(Cst node, EcmaClasses reader) {
        String called = node.part("function").map(reader::text).orElse("");
        List<Cst> given = node.part("arguments").map(Cst::inner).orElse(List.of());
        if (given.size() == 2 && called.matches("(util\\.)?inherits") && given.stream().allMatch(each -> each.is("identifier") || each.is("member_expression"))) {
            parents.put(type(reader.text(given.get(0))), new TypeRef(reader.text(given.get(1))));
            return true;
        }
        String target = given.size() < 2 || !called.matches("Object\\.assign|(\\w+\\.)?(extend|mixin)") ? "" : reader.text(given.get(0));
        return target.endsWith(END) && !declared.contains(type(target)) && isMembers(target, given.get(given.size() - 1), reader);
    }

    private boolean isMembers(String target, Cst object, EcmaClasses reader) {
        List<Cst> members = object.is("object") ? object.inner() : List.of();
        for (Cst each : members) {
            functionOf(each).ifPresent(one -> add(type(target), nameOf(each, reader), one, reader));
        }
        return routines.containsKey(type(target)) && !members.isEmpty();
    }

    /** The function that a member of an object is. */
    static Optional<Cst> functionOf(Cst member) {
        return member.is("method_definition") ? Optional.of(member) : member.part("value").filter(each -> FUNCTIONS.contains(each.kind()));
    }

    static String nameOf(Cst member, EcmaClasses reader) {
        return member.part("key").or(() -> member.part("name")).map(reader::text).orElse("");
    }

    private boolean isParent(String target, String value) {
        String made = value.replaceFirst("^Object\\.create\\(\\s*([\\w$.]+)\\.prototype\\b(?s:.*)|^new ([\\w$.]+)\\(.*\\)$", "$1$2");
        boolean parent = !made.equals(value) && !made.isEmpty();
        if (parent) {
            parents.put(type(target), new TypeRef(made));
        }
        return parent;
    }

    /** The name of the function, without what it may be kept in: {@code Quay.Tug.prototype} is that of Tug. */
    private static String type(String target) {
        String whole = target.endsWith(END) ? target.substring(0, target.length() - END.length()) : target;
        return whole.substring(whole.lastIndexOf('.') + 1);
    }

    /** The statements of a function by which an object that it makes is given routines: {@code this.tow = function () { ... };} */
    private static List<Cst> ownRoutines(Cst function) {
        return function.part("body").filter(each -> each.is("statement_block")).map(Cst::inner).orElse(List.of()).stream().filter(each -> each.is("expression_statement")
                && each.inner().size() == 1 && each.inner().get(0).is("assignment_expression") && isOwn(each.inner().get(0))).toList();
    }

    private static boolean isOwn(Cst assignment) {
        return assignment.part("left").filter(each -> each.is("member_expression")).flatMap(each -> each.part("object")).filter(each -> each.is("this")).isPresent()
                && assignment.part("right").filter(each -> FUNCTIONS.contains(each.kind())).isPresent();
    }

    private static String nameGiven(Cst statement, EcmaClasses reader) {
        return statement.inner().get(0).part("left").flatMap(each -> each.part("property")).map(reader::text).orElse("");
    }

    private void add(String type, String name, Cst function, EcmaClasses reader) {
        routines.computeIfAbsent(type, key -> new ArrayList<>()).add(reader.routine(function, name, type));
    }

    /** The classes. @param functions of the module, by name; those that make instances are taken out */
    List<TypeDeclaration> types(Map<String, Cst> functions, EcmaClasses reader) {
        parents.keySet().stream().filter(functions::containsKey).forEach(each -> routines.computeIfAbsent(each, key -> new ArrayList<>()));
        functions.forEach((name, function) -> {
            if (!declared.contains(name) && ownRoutines(function).size() >= MEMBERS) {
                routines.computeIfAbsent(name, key -> new ArrayList<>());
            }
        });
        List<TypeDeclaration> types = new ArrayList<>();
        routines.forEach((name, given) -> {
            List<Routine> own = new ArrayList<>(given);
            Cst function = functions.remove(name);
            if (function != null) {
                List<Cst> inner = ownRoutines(function);
                inner.forEach(each -> own.add(reader.routine(each.inner().get(0).part("right").orElse(each), nameGiven(each, reader), name)));
                own.add(0, reader.constructor(function, name, inner));
            }
            List<Node> all = new ArrayList<>(own);
            all.addAll(new AssignedFields(new TypeRef("boolean"), assignment -> Told.NOTHING).of(own, Set.of()));
            types.add(new TypeDeclaration(own.get(0).start(), own.get(own.size() - 1).end(), name, TypeKind.CLASS, Traits.NONE, List.of(),
                    Optional.ofNullable(parents.get(name)).map(List::of).orElse(List.of()), List.of(), List.of(), all));
        });
        return types;
    }
}
