package driftwood.refactor.python.ground;

import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.python.ground.Calls.Call;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * All calls that come to a constructor: of the class, of its subclasses that have none of their own, of the class method's
 * own {@code cls}, and what constructors of subclasses hand up.
 */
final class Creations {
    /** What takes a class and does not create one of it. */
    private static final Set<String> ASKING = Set.of("isinstance", "issubclass", "cast", "hasattr", "getattr", "setattr", "register", "type", "TypeVar", "NewType");
    private final Draft draft;
    private final Program program;

    Creations(Draft draft) {
        this.draft = draft;
        this.program = draft.program();
    }

    /** @throws Refused where they cannot all be known */
    List<Call> of(TypeOutline type) {
        Set<TypeOutline> made = new LinkedHashSet<>(List.of(type));
        Set<TypeOutline> above = new LinkedHashSet<>();
        descend(type, made, above);
        List<Call> calls = new ArrayList<>();
        for (TypeOutline each : made) {
            named(each, calls);
            Cst body = draft.modules().type(each);
            Module module = draft.modules().module(each.file());
            Module.all(body, "call").stream().filter(call -> call.part("function").map(module::text).orElse("").matches("cls|self\\.__class__|type\\(self\\)"))
                    .forEach(call -> calls.add(Calls.call(module, call)));
        }
        above.forEach(each -> handedUp(each, calls));
        return calls;
    }

    private void descend(TypeOutline type, Set<TypeOutline> made, Set<TypeOutline> above) {
        for (TypeOutline child : program.children(type)) {
            if (program.parents(child).size() > 1) {
                throw new Refused(child.simpleName() + " has several base classes: whose constructor comes next is decided at run time");
            }
            if (child.constructors().isEmpty()) {
                made.add(child);
                descend(child, made, above);
            } else {
                above.add(child);
            }
        }
    }

    private void handedUp(TypeOutline child, List<Call> calls) {
        Module module = draft.modules().module(child.file());
        Cst body = draft.modules().type(child);
        for (Cst each : Module.all(body, "call")) {
            String function = each.part("function").map(module::text).orElse("").replaceAll("\\s", "");
            if (function.matches("super\\(.*\\)\\.__init__")) {
                calls.add(Calls.call(module, each));
            } else if (function.endsWith(".__init__")) {
                throw new Refused(child.simpleName() + " calls " + function + " by name");
            }
        }
    }

    /** A class whose name with its module stands in a text is loaded by it. */
    private static void refuseLoaded(Module module, TypeOutline type) {
        String simple = type.simpleName();
        for (Cst each : Module.all(module.root(), "string")) {
            if (module.text(each).matches("[rbuRBU]*['\"][\\w.]+\\." + simple + "['\"]")) {
                throw new Refused("the class " + simple + " is loaded by its name (" + module.file() + ":" + module.line(each.start()) + "), and created from where nobody sees");
            }
        }
    }

    private void named(TypeOutline type, List<Call> calls) {
        long alike = program.types().stream().filter(each -> each.simpleName().equals(type.simpleName()) && !each.isModule()).count();
        for (Module module : draft.modules().with(type.simpleName())) {
            refuseLoaded(module, type);
            for (Cst each : Module.all(module.root(), "identifier")) {
                if (module.text(each).equals(type.simpleName())) {
                    created(module, each, type, alike).ifPresent(calls::add);
                }
            }
        }
    }

    private static Optional<Call> created(Module module, Cst name, TypeOutline type, long alike) {
        List<Cst> path = module.path(name.start());
        Cst around = path.get(path.size() - 2);
        boolean member = around.is("attribute") && around.inner().get(1).start() == name.start();
        Cst whole = member ? around : name;
        Cst user = path.get(path.size() - (member ? 3 : 2));
        boolean called = user.is("call") && user.part("function").filter(whole::equals).isPresent();
        String at = module.file() + ":" + module.line(name.start());
        if (Calls.isImported(path) || Calls.isNoValue(around, name) || Calls.isLocal(module, name) && !called) {
            return Optional.empty();
        }
        if (called && alike > 1) {
            throw new Refused(alike + " classes are called " + type.simpleName() + "; which one is created at " + at + " is not known");
        }
        if (!called && isHandedOn(module, user, path)) {
            throw new Refused("the class " + type.simpleName() + " is handed on as a value at " + at + ", and created from where nobody sees");
        }
        return called ? Optional.of(Calls.call(module, user)) : Optional.empty();
    }

    private static boolean isHandedOn(Module module, Cst user, List<Cst> path) {
        if (path.stream().anyMatch(each -> each.is("type") || each.is("class_definition") && each.part("superclasses").filter(path::contains).isPresent() || each.is("except_clause"))) {
            return false;
        }
        if (user.is("argument_list")) {
            String function = path.get(path.indexOf(user) - 1).part("function").map(module::text).orElse("");
            return !ASKING.contains(function.substring(function.lastIndexOf('.') + 1));
        }
        return Set.of("pair", "assignment", "list", "tuple", "set", "return_statement", "keyword_argument", "conditional_expression").contains(user.kind());
    }
}
