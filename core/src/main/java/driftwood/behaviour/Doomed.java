package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.Recording.Case;
import driftwood.behaviour.Recording.Step;
import driftwood.witness.Make;
import driftwood.witness.Script;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What cases call that never came to its end: it does not end, or ends the process. Each try costs the whole time of a case,
 * so that some tries are enough.
 */
final class Doomed {
    private static final int MOST = 2;

    private final Map<String, Integer> ended = new HashMap<>();
    private final Set<String> fine = new HashSet<>();

    /** A case ran to its end. */
    void ran(List<String> calls) {
        fine.addAll(calls);
    }

    /** A case did not end, or ended the process. */
    void ended(List<String> calls) {
        Set.copyOf(calls).forEach(each -> ended.merge(each, 1, Integer::sum));
    }

    /** Why a case need not be tried any more; empty where it should be. */
    Optional<String> reason(List<String> calls) {
        return calls.stream().filter(each -> ended.getOrDefault(each, 0) >= MOST && !fine.contains(each)).findFirst()
                .map(each -> "not run: " + each + " did not end, ended the process, or left threads running, in " + MOST + " cases before");
    }

    /** Whether an outcome says that the case did not end, or ended the process. */
    static boolean isOne(JsonNode outcome) {
        return outcome != null && (outcome.has("endless") || outcome.has("exits"));
    }

    /** What a case calls and makes. */
    static List<String> calls(Case each) {
        List<String> calls = new ArrayList<>();
        for (Step step : each.steps()) {
            calls.add(step.call() == null ? "new " + step.make().path("is").asText() : step.call() + "()");
        }
        calls.add(each.member().equals("new") ? "new " + each.owner() : each.member() + "()");
        return calls;
    }

    /** What a script calls and makes. */
    static List<String> calls(Script script) {
        List<String> calls = new ArrayList<>();
        script.receiver().forEach(each -> calls.add(name(each)));
        script.steps().forEach(each -> calls.add(name(each.act())));
        return calls;
    }

    private static String name(Make make) {
        return make instanceof Make.Call call ? call.name() + "()" : make instanceof Make.New fresh ? "new " + fresh.type() : "this value";
    }
}
