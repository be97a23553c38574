package driftwood.refactor.python.ground;

import driftwood.program.Outline.CallFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * All calls of a routine in the project. Where one mention of its name is neither a call of it nor surely something
 * else, nobody knows them all, and that is said.
 */
public final class Calls {
    /** What values of the language itself answer to: a call of that name on anything may mean theirs. */
    private static final Set<String> BUILT_IN = Set.of("append", "extend", "insert", "remove", "pop", "clear", "index", "count", "sort", "reverse", "copy", "get",
            "items", "keys", "values", "update", "setdefault", "add", "discard", "union", "format", "join", "split", "strip", "replace", "find", "read", "write",
            "close", "open", "send", "throw", "encode", "decode", "lower", "upper", "title", "startswith", "endswith", "next", "start", "run", "stop", "flush",
            "seek", "group", "match", "search", "name", "year", "month", "day", "total", "mean", "sum", "min", "max", "any", "all", "bind", "connect", "accept", "put", "wait", "set", "info", "error",
            "debug", "warning", "log", "execute", "commit", "cursor", "fetchone", "fetchall", "submit", "result", "cancel", "done", "acquire", "release");
    private static final Set<String> LITERALS = Set.of("string", "concatenated_string", "integer", "float", "list", "dictionary", "set", "tuple", "list_comprehension",
            "dictionary_comprehension", "set_comprehension", "true", "false", "none");
    private static final Set<String> LOOKING = Set.of("getattr", "setattr", "hasattr", "delattr", "methodcaller", "attrgetter", "object");
    private final Draft draft;
    private final Program program;

    public Calls(Draft draft) {
        this.draft = draft;
        this.program = draft.program();
    }

    /**
     * A call.
     *
     * @param module    its file
     * @param node      the whole call
     * @param arguments positional ones, named ones and those that are unfolded, in order
     * @param routine   the function around; empty at the top of a module or class
     */
    public record Call(Module module, Cst node, List<Cst> arguments, Optional<Function> routine) {

        /** Whether it unfolds a list or dictionary into arguments: nobody knows which. */
        public boolean isUnfolding() {
            return arguments.stream().anyMatch(each -> each.is("list_splat") || each.is("dictionary_splat"));
        }

        /** The value for a parameter; empty where it is left out. @param at its position among those that callers fill */
        public Optional<Cst> value(String name, int at) {
            List<Cst> placed = arguments.stream().filter(each -> !each.is("keyword_argument")).toList();
            return at < placed.size() ? Optional.of(placed.get(at))
                    : arguments.stream().filter(each -> each.is("keyword_argument") && module.text(each.inner().get(0)).equals(name)).map(each -> each.inner().get(1)).findFirst();
        }
    }

    /** All calls of a routine that is not a constructor. @throws Refused where they cannot all be known */
    public List<Call> of(RoutineOutline routine) {
        refuseFamily(routine);
        boolean ofModule = program.type(routine.owner()).filter(TypeOutline::isModule).isPresent();
        List<Call> calls = new ArrayList<>();
        for (Module module : draft.modules().with(routine.name())) {
            for (Cst each : Module.all(module.root(), "identifier")) {
                if (module.text(each).equals(routine.name())) {
                    mention(module, each, routine, ofModule).ifPresent(calls::add);
                }
            }
            refuseSaid(module, routine.name());
        }
        return calls;
    }

    /** All calls of a routine, or all that come to a constructor. @throws Refused where they cannot all be known */
    public List<Call> to(RoutineOutline routine) {
        List<Call> calls = routine.isConstructor() ? new Creations(draft).of(program.type(routine.owner()).orElseThrow()) : of(routine);
        Function function = draft.modules().function(routine);
        long most = function.filled().stream().anyMatch(each -> each.kind() == Parameter.Kind.ALL_FURTHER) ? Integer.MAX_VALUE
                : function.filled().stream().filter(each -> each.kind() == Parameter.Kind.USUAL).count();
        for (Call each : calls) {
            if (each.arguments().stream().filter(argument -> !argument.is("keyword_argument")).count() > most) {
                throw new Refused("the call at " + each.module().file() + ":" + each.module().line(each.node().start()) + " hands over more than " + function.name() + "() takes: it means another");
            }
        }
        return calls;
    }

    private void refuseFamily(RoutineOutline routine) {
        TypeOutline owner = program.type(routine.owner()).orElseThrow();
        if (!owner.isModule() && program.hasForeignParent(owner) && !routine.name().startsWith("_")) {
            throw new Refused(owner.simpleName() + " extends a class of a library, which may call " + routine.name() + "() itself");
        }
        Set<TypeOutline> family = new HashSet<>(program.descendants(owner));
        family.addAll(program.ancestors(owner));
        for (TypeOutline each : family) {
            if (each.routines().stream().anyMatch(other -> other.name().equals(routine.name()))) {
                throw new Refused(each.simpleName() + " has a " + routine.name() + "() of its own that takes its place or whose place it takes");
            }
        }
    }

    private Optional<Call> mention(Module module, Cst name, RoutineOutline routine, boolean ofModule) {
        List<Cst> path = module.path(name.start());
        Cst around = path.get(path.size() - 2);
        boolean member = around.is("attribute") && around.inner().get(1).start() == name.start();
        if (around.is("function_definition") && around.part("name").filter(name::equals).isPresent() || isNoValue(around, name) || isImported(path)) {
            return Optional.empty();
        }
        if (!member && (!ofModule || isLocal(module, name))) {
            return Optional.empty();
        }
        Cst whole = member ? around : name;
        Cst user = path.get(path.size() - (member ? 3 : 2));
        boolean called = user.is("call") && user.part("function").filter(whole::equals).isPresent();
        if (!means(module, name, routine)) {
            return Optional.empty();
        }
        if (!called) {
            throw new Refused(routine.name() + " is handed on as a value at " + module.file() + ":" + module.line(name.start()) + ", and called from where nobody sees");
        }
        return Optional.of(call(module, user));
    }

    static Call call(Module module, Cst user) {
        List<Cst> arguments = user.part("arguments").map(Cst::inner).orElse(List.of());
        if (user.part("arguments").filter(each -> each.is("generator_expression")).isPresent()) {
            arguments = List.of(user.part("arguments").get());
        }
        return new Call(module, user, arguments, Function.around(module, user.start()));
    }

    /** Whether a mention is of this routine. @throws Refused where nobody knows */
    private boolean means(Module module, Cst name, RoutineOutline routine) {
        int line = module.line(name.start());
        List<CallFact> before = program.callsOf(routine.name()).stream().filter(each -> each.trail().lastName().equals(routine.name()) && isIn(each, module)
                && each.line() <= line).toList();
        int nearest = before.stream().mapToInt(CallFact::line).max().orElse(0);
        List<CallFact> facts = before.stream().filter(each -> each.line() == nearest).toList();
        boolean known = false;
        for (CallFact each : facts) {
            List<RoutineOutline> meant = program.routinesAt(each.trail(), each.within());
            if (meant.contains(routine)) {
                return true;
            }
            known |= !meant.isEmpty();
        }
        if (known || isElsewhere(module, name, routine)) {
            return false;
        }
        List<RoutineOutline> named = program.types().stream().flatMap(each -> each.routines().stream()).filter(each -> each.name().equals(routine.name())).toList();
        if (named.size() == 1 && !BUILT_IN.contains(routine.name())) {
            return true;
        }
        throw new Refused("whose " + routine.name() + " is meant at " + module.file() + ":" + line + " is not known"
                + (named.size() > 1 ? ": " + named.size() + " routines have that name" : ""));
    }

    /** Whether it is a name of a library's module, of a literal, or of an object whose classes have nothing to do with the routine's. */
    private boolean isElsewhere(Module module, Cst name, RoutineOutline routine) {
        List<Cst> path = module.path(name.start());
        Cst around = path.get(path.size() - 2);
        if (!around.is("attribute")) {
            return false;
        }
        Cst receiver = around.inner().get(0);
        while (receiver.is("attribute")) {
            receiver = receiver.inner().get(0);
        }
        String root = module.text(receiver);
        if (LITERALS.contains(receiver.kind())) {
            return true;
        }
        Optional<Function> function = Function.around(module, name.start());
        if (receiver.is("identifier") && function.filter(each -> each.locals().contains(root) && !isSelf(each, root)).isEmpty()) {
            String source = new Imports(draft).source(module, root);
            if (!source.isEmpty()) {
                return draft.modules().isForeign(source);
            }
        }
        boolean own = around.inner().get(0).is("identifier") && function.filter(each -> isSelf(each, root)).isPresent() || root.matches("super\\(.*\\)");
        return own && program.type(routine.owner()).filter(owner -> function.flatMap(Function::home).map(home -> !isRelated(module, home, owner)).orElse(false)).isPresent();
    }

    private static boolean isSelf(Function function, String name) {
        return function.held() == 1 && !function.parameters().isEmpty() && function.parameters().get(0).name().equals(name);
    }

    /** Whether instances of a class can be of another. */
    private boolean isRelated(Module module, Cst home, TypeOutline owner) {
        return program.types().stream().filter(each -> each.file().equals(module.file()) && each.line() <= module.line(home.start()) && module.line(home.start()) <= each.endLine()
                && each.simpleName().equals(module.text(home.part("name").orElse(home)))).anyMatch(each -> each.equals(owner) || program.ancestors(each).contains(owner)
                || program.descendants(each).stream().anyMatch(child -> program.ancestors(child).contains(owner)));
    }

    private boolean isIn(CallFact fact, Module module) {
        return program.type(fact.within()).filter(type -> type.file().equals(module.file())).isPresent();
    }

    // driftwood: leave misplaced-behaviour because a node of any grammar knows nothing of Python's values
    /** Names of arguments and parameters, and what a pattern asks for, are no values. */
    static boolean isNoValue(Cst around, Cst name) {
        return around.is("keyword_argument") && around.inner().get(0).start() == name.start() || around.kind().endsWith("parameter") || around.is("parameters")
                || around.is("keyword_pattern") || around.is("class_definition");
    }

    static boolean isImported(List<Cst> path) {
        return path.stream().anyMatch(each -> each.kind().startsWith("import_"));
    }

    static boolean isLocal(Module module, Cst name) {
        return Function.around(module, name.start()).filter(each -> each.locals().contains(module.text(name))).isPresent();
    }

    /** A name that is handed to what looks things up by their names. */
    static void refuseSaid(Module module, String name) {
        for (Cst each : Module.all(module.root(), "string")) {
            if (said(module, each).equals(name) && isLookedUp(module, each)) {
                throw new Refused("'" + name + "' is looked up by its name at " + module.file() + ":" + module.line(each.start()));
            }
        }
    }

    /** Whether a module says that a name is part of what it offers. */
    public static boolean isExported(Module module, String name) {
        return Module.all(module.root(), "string").stream().anyMatch(each -> said(module, each).equals(name)
                && module.path(each.start()).stream().anyMatch(around -> around.is("assignment") && around.part("left").map(module::text).orElse("").equals("__all__")));
    }

    private static String said(Module module, Cst text) {
        return module.text(text).replaceFirst("^[rbuRBU]*(\"\"\"|'''|\"|')(.*)\\1$", "$2");
    }

    private static boolean isLookedUp(Module module, Cst text) {
        List<Cst> path = module.path(text.start());
        Cst call = path.size() > 2 ? path.get(path.size() - 3) : path.get(0);
        return call.is("call") && LOOKING.contains(call.part("function").map(module::text).orElse("").replaceFirst("^.*\\.", ""));
    }
}
