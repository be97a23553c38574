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
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * What the code of a project does with its types and routines: every call and every creation, found by what it means.
 * Each look is gathered when it is first asked for. Safe to ask from several threads.
 */
final class Uses {
    private final Program program;
    private final Later<NameIndex> calling;
    private final Map<String, List<CallFact>> byName = new ConcurrentHashMap<>();
    private final Map<String, List<CallFact>> onResults = new ConcurrentHashMap<>();
    private final Map<String, Map<String, List<CallFact>>> byRoutine = new ConcurrentHashMap<>();
    private final Later<Map<String, List<CreationFact>>> creators;

    Uses(Program program) {
        this.program = program;
        this.calling = new Later<>(() -> new NameIndex(program.outlines()));
        this.creators = new Later<>(this::creationsByType);
    }

    List<CallFact> callsOf(String name) {
        return byName.computeIfAbsent(name, key -> calling.get().calls(key));
    }

    /** Those of several names, in one go. */
    List<CallFact> callsOfAny(Set<String> names) {
        return calling.get().callsOfAny(names);
    }

    List<CallFact> callsOnResultOf(String name) {
        return onResults.computeIfAbsent(name, key -> calling.get().callsOnResultOf(key));
    }

    /** @param type around the routine */
    List<CallFact> callsBy(String type, String routine) {
        return byRoutine.computeIfAbsent(type, this::callsWithin).getOrDefault(routine, List.of());
    }

    private Map<String, List<CallFact>> callsWithin(String type) {
        return program.type(type).stream().flatMap(each -> program.filesOf(each).stream()).flatMap(each -> each.calls().stream())
                .filter(each -> each.routine().startsWith(type)).collect(Collectors.groupingBy(CallFact::routine));
    }

    List<CreationFact> creations(String type) {
        return creators.get().getOrDefault(type, List.of());
    }

    /** Qualified name of the project's type that is created; empty where it is foreign. */
    private String made(CreationFact creation) {
        return program.type(creation.within()).flatMap(around ->
                program.resolve(new TypeRef(new TypeRef(creation.type()).name()), around)).map(TypeOutline::name).orElse("");
    }

    /** All creations by what they make. */
    private Map<String, List<CreationFact>> creationsByType() {
        Map<String, List<CreationFact>> all = new HashMap<>();
        program.outlines().forEach(outline -> outline.creations().forEach(each -> {
            String made = made(each);
            if (!made.isEmpty()) {
                all.computeIfAbsent(made, key -> new ArrayList<>()).add(each);
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
            if (!call.onResultOf().isEmpty()) {
                questions.add(Question.CALLS_ON_RESULT.of(call.onResultOf()));
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
