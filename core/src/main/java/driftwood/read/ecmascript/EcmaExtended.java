package driftwood.read.ecmascript;

import driftwood.read.AssignedFields;
import driftwood.read.AssignedFields.Told;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Classes from before the language had any, made by a routine of the parent: {@code var Tug = Boat.extend({ tow: function () { ... } });}
 * Or one object that holds its functions, and is named like a class: {@code var Quay = { open: function () { ... }, ... };}
 */
final class EcmaExtended {
    private static final Set<String> CONSTRUCTORS = Set.of("initialize", "constructor");

    private static final int ROUTINES = 2;

    private EcmaExtended() {
    }

    /** The class; empty where a value makes none. @param name that the value is given to */
    static Optional<TypeDeclaration> of(String name, Cst value, EcmaClasses reader) {
        Optional<Cst> called = value.is("call_expression") ? value.part("function").filter(each -> each.is("member_expression")) : Optional.empty();
        String parent = called.flatMap(each -> each.part("object")).map(reader::text).orElse("");
        List<Cst> given = value.part("arguments").map(Cst::inner).orElse(List.of());
        boolean extended = parent.matches("([\\w$]+\\.)*[A-Z]\\w*") && called.flatMap(each -> each.part("property")).map(reader::text).orElse("").equals("extend");
        if (value.is("object") && name.matches("[A-Z]+[a-z]\\w*") && value.inner().stream().filter(each -> EcmaPrototypes.functionOf(each).isPresent()).count() >= ROUTINES) {
            return Optional.of(new TypeDeclaration(value.start(), value.end(), name, TypeKind.CLASS, Traits.of(Mark.STATIC), List.of(), List.of(), List.of(), List.of(),
                    members(value.inner(), name, reader)));
        }
        if (!extended || given.size() != 1 || !given.get(0).is("object") || given.get(0).inner().stream().noneMatch(each -> EcmaPrototypes.functionOf(each).isPresent())) {
            return Optional.empty();
        }
        return Optional.of(new TypeDeclaration(value.start(), value.end(), name, TypeKind.CLASS, Traits.NONE, List.of(), List.of(new TypeRef(parent)), List.of(), List.of(),
                members(given.get(0).inner(), name, reader)));
    }

    private static List<Node> members(List<Cst> written, String type, EcmaClasses reader) {
        List<Node> members = new ArrayList<>();
        List<Routine> routines = new ArrayList<>();
        Set<String> known = new HashSet<>();
        for (Cst each : written) {
            String name = EcmaPrototypes.nameOf(each, reader);
            Optional<Cst> function = EcmaPrototypes.functionOf(each);
            if (function.isPresent()) {
                routines.add(CONSTRUCTORS.contains(name) ? reader.constructor(function.get(), type, List.of()) : reader.routine(function.get(), name, type));
                members.add(routines.get(routines.size() - 1));
            } else if (each.is("pair") && known.add(name)) {
                Optional<Node> initial = each.part("value").map(reader::expression);
                members.add(new Field(each.start(), each.end(), name, initial.map(AssignedFields::typeOf).orElse(TypeRef.NONE), Traits.NONE, initial));
            }
        }
        members.addAll(new AssignedFields(new TypeRef("boolean"), assignment -> Told.NOTHING).of(routines, known));
        return members;
    }
}
