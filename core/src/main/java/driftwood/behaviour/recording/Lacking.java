package driftwood.behaviour.recording;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.recording.Recording.Case;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What code needs and does not find: a class, or whatever its initialiser looked for. Nothing is recorded of it then. */
public final class Lacking {
    private static final Set<String> LOADING = Set.of("java.lang.ExceptionInInitializerError", "java.lang.NoClassDefFoundError",
            "java.lang.UnsatisfiedLinkError", "java.lang.UnsupportedClassVersionError", "java.lang.VerifyError",
            "java.lang.IncompatibleClassChangeError", "java.lang.NoSuchMethodError", "java.lang.NoSuchFieldError",
            "java.lang.AbstractMethodError", "java.lang.LinkageError");

    private Lacking() {
    }

    /** A line for each routine all of whose cases end while its code is loaded; none where all is well. */
    public static List<String> of(List<Case> cases) {
        Map<String, List<JsonNode>> byRoutine = new LinkedHashMap<>();
        cases.forEach(each -> byRoutine.computeIfAbsent(each.routine(), key -> new ArrayList<>()).add(each.outcome()));
        Set<String> lines = new LinkedHashSet<>();
        byRoutine.forEach((routine, outcomes) -> {
            if (outcomes.stream().allMatch(each -> LOADING.contains(each.path("throws").path("is").asText()))) {
                JsonNode problem = outcomes.stream().map(each -> each.get("throws"))
                        .filter(each -> each.has("cause")).findFirst().orElse(outcomes.get(0).get("throws"));
                lines.add(routine + ": " + told(problem));
            }
        });
        return List.copyOf(lines);
    }

    private static String told(JsonNode problem) {
        JsonNode root = problem;
        while (root.has("cause")) {
            root = root.get("cause");
        }
        String type = root.path("is").asText();
        String message = root.path("message").isTextual() ? root.get("message").asText() : "";
        String simple = type.substring(type.lastIndexOf('.') + 1);
        if (type.equals("java.lang.NoClassDefFoundError") && message.startsWith("Could not initialize")) {
            return message.replace("Could not initialize class", "the static initialiser fails of");
        }
        if (type.equals("java.lang.NoClassDefFoundError") || type.equals("java.lang.ClassNotFoundException")) {
            return "the class " + message.replace('/', '.') + " is missing";
        }
        return "its class cannot be initialised: " + simple + (message.isEmpty() ? "" : ": " + message);
    }
}
