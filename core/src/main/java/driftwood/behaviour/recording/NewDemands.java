package driftwood.behaviour.recording;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Calls on stand-ins that ask for what their interface did not have when this was recorded. Whoever implements it has to
 * answer that now: the call is no difference in itself, but a case that goes another way because of it is no longer one.
 */
final class NewDemands {
    private final Map<String, Set<String>> known = new HashMap<>();
    private final Set<String> met = new LinkedHashSet<>();

    /** @param standIns names of what they had to answer, by the qualified name of the interface */
    NewDemands(Map<String, List<String>> standIns) {
        standIns.forEach((type, names) -> known.computeIfAbsent(simple(type), key -> new HashSet<>()).addAll(names));
    }

    /** Those that were left out, as {@code Part.weigh}. */
    List<String> met() {
        return List.copyOf(met);
    }

    /** The calls without those. @param asks as an outcome tells them; missing for none */
    JsonNode without(JsonNode asks) {
        ArrayNode kept = JsonNodeFactory.instance.arrayNode();
        for (JsonNode each : asks) {
            String call = each.isTextual() ? each.asText().replaceFirst("\\(.*", "") : each.path("call").asText();
            int dot = call.lastIndexOf('.');
            Set<String> names = dot < 0 ? null : known.get(call.substring(0, dot));
            if (names == null || names.contains(call.substring(dot + 1))) {
                kept.add(each);
            } else {
                met.add(call);
            }
        }
        return kept;
    }

    private static String simple(String type) {
        return type.substring(type.lastIndexOf('.') + 1);
    }
}
