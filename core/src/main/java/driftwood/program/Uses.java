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
    private Map<String, List<CallFact>> byName = Map.of();
    private Map<String, List<CallFact>> byRoutine = Map.of();
    private Map<String, List<CallFact>> onResults = Map.of();
    private Map<String, List<CreationFact>> creators = Map.of();

    Uses(Program program) {
        this.program = program;
    }

    synchronized List<CallFact> callsOf(String name) {
        if (byName.isEmpty()) {
            byName = calls(call -> call.trail().lastName());
        }
        return byName.getOrDefault(name, List.of());
    }

    synchronized List<CallFact> callsBy(String routine) {
        if (byRoutine.isEmpty()) {
            byRoutine = calls(CallFact::routine);
        }
        return byRoutine.getOrDefault(routine, List.of());
    }

    synchronized List<CallFact> callsOnResultOf(String name) {
        if (onResults.isEmpty()) {
            onResults = calls(Uses::used);
        }
        return onResults.getOrDefault(name, List.of());
    }

    synchronized List<CreationFact> creations(String type) {
        if (creators.isEmpty()) {
            Map<String, List<CreationFact>> all = new HashMap<>();
            program.outlines().forEach(outline -> outline.creations().forEach(creation -> {
                String made = made(creation);
                if (!made.isEmpty()) {
                    all.computeIfAbsent(made, key -> new ArrayList<>()).add(creation);
                }
            }));
            creators = all;
        }
        return creators.getOrDefault(type, List.of());
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

    private Map<String, List<CallFact>> calls(Function<CallFact, String> key) {
        Map<String, List<CallFact>> all = new HashMap<>();
        program.outlines().forEach(outline -> outline.calls().forEach(call -> {
            String name = key.apply(call);
            if (!name.isEmpty()) {
                all.computeIfAbsent(name, each -> new ArrayList<>()).add(call);
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
