package driftwood.program;

import driftwood.program.Outline.CallFact;
import driftwood.program.Outline.CreationFact;
import driftwood.program.Program.Use;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * What the code of a project does with its types and routines: every call and every creation, found by what it means.
 * Each look is gathered when it is first asked for. Safe to ask from several threads.
 */
final class Uses {
    private final Program program;
    private final Later<Map<String, List<CallFact>>> byName;
    private final Later<Map<String, List<CallFact>>> byRoutine;
    private final Later<Map<String, List<CallFact>>> onResults;
    private final Later<Map<String, List<CreationFact>>> creators;

    Uses(Program program) {
        this.program = program;
        this.byName = new Later<>(() -> gathered(Outline::calls, call -> call.trail().lastName()));
        this.byRoutine = new Later<>(() -> gathered(Outline::calls, CallFact::routine));
        this.onResults = new Later<>(() -> gathered(Outline::calls, Uses::used));
        this.creators = new Later<>(() -> gathered(Outline::creations, this::made));
    }

    List<CallFact> callsOf(String name) {
        return byName.get().getOrDefault(name, List.of());
    }

    List<CallFact> callsBy(String routine) {
        return byRoutine.get().getOrDefault(routine, List.of());
    }

    List<CallFact> callsOnResultOf(String name) {
        return onResults.get().getOrDefault(name, List.of());
    }

    List<CreationFact> creations(String type) {
        return creators.get().getOrDefault(type, List.of());
    }

    /** Qualified name of the project's type that is created; empty where it is foreign. */
    private String made(CreationFact creation) {
        return program.type(creation.within()).flatMap(around ->
                program.resolve(new TypeRef(new TypeRef(creation.type()).name()), around)).map(TypeOutline::name).orElse("");
    }

    /** The routine whose result a call is made on; empty where it is made on something else. */
    private static String used(CallFact call) {
        if (call.trail().steps().size() < 2) {
            return "";
        }
        Trail used = call.trail().owner().unheld();
        return used.isCall() ? used.lastName() : "";
    }

    /** All facts of one kind by a name; those without a name aside. */
    private <T> Map<String, List<T>> gathered(Function<Outline, List<T>> kind, Function<T, String> key) {
        Map<String, List<T>> all = new HashMap<>();
        program.outlines().forEach(outline -> kind.apply(outline).forEach(fact -> {
            String name = key.apply(fact);
            if (!name.isEmpty()) {
                all.computeIfAbsent(name, each -> new ArrayList<>()).add(fact);
            }
        }));
        return all;
    }

    /** The questions that a file's calls and creations are part of an answer to. */
    Map<String, List<Use>> answers(Outline outline) {
        Map<String, List<Use>> answers = new HashMap<>();
        for (CallFact call : outline.calls()) {
            Set<String> questions = new LinkedHashSet<>(List.of(Question.CALLS_IN.of(outline.file()),
                    Question.CALLS_OF.of(call.trail().lastName()), Question.CALLS_BY.of(call.routine())));
            if (!used(call).isEmpty()) {
                questions.add(Question.CALLS_ON_RESULT.of(used(call)));
            }
            Use use = new Use(new CallFact(call.within(), call.routine(), call.trail(), call.arguments(), 0), call.line());
            questions.forEach(each -> answers.computeIfAbsent(each, key -> new ArrayList<>()).add(use));
        }
        for (CreationFact creation : outline.creations()) {
            Use use = new Use(new CreationFact(creation.within(), creation.routine(), creation.type(), creation.arguments(),
                    creation.anonymous(), 0), creation.line());
            List.of(Question.CREATIONS_IN.of(outline.file()), Question.CREATIONS.of(made(creation))).forEach(each ->
                    answers.computeIfAbsent(each, key -> new ArrayList<>()).add(use));
        }
        return answers;
    }

    /** What can be asked about uses. */
    enum Question {
        CALLS_OF, CALLS_BY, CALLS_ON_RESULT, CALLS_IN, CREATIONS, CREATIONS_IN;

        String of(String name) {
            return name() + " " + name;
        }
    }
}
