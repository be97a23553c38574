package driftwood.behaviour.recording;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiPredicate;

/**
 * Reads what happens now as a client of the recorded code would: an object of a class that is new since then is what it
 * answers; an answer that can no longer be asked for is no difference, unless its type was named to be kept.
 */
public final class ClientView {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private final Set<String> types;
    private final Set<String> kept;
    private final BiPredicate<String, String> answersNow;
    private final Set<String> built = new LinkedHashSet<>();
    private final Set<String> unasked = new LinkedHashSet<>();
    private final NewDemands demands;

    /** @param answersNow whether a type, by its qualified name, has a query of a name now */
    public ClientView(Recording recording, BiPredicate<String, String> answersNow) {
        this.types = Set.copyOf(recording.types() == null ? List.of() : recording.types());
        this.kept = Set.copyOf(recording.kept() == null ? List.of() : recording.kept());
        this.answersNow = answersNow;
        this.demands = new NewDemands(recording.standIns() == null ? Map.of() : recording.standIns());
    }

    /** Objects of new classes that were taken for recorded ones, as {@code HandGaugeAdapter for HandGauge}. */
    public List<String> built() {
        return List.copyOf(built);
    }

    /** What can no longer be asked, as {@code Lamp.percent}. */
    public List<String> unasked() {
        return List.copyOf(unasked);
    }

    /** What stand-ins were asked and did not have to answer when this was recorded, as {@code Part.weigh}. */
    public List<String> demanded() {
        return demands.met();
    }

    /** What happens now, in the recorded words wherever a client cannot tell the two apart. */
    public JsonNode seen(JsonNode recorded, JsonNode now) {
        if (!recorded.isObject() || !now.isObject()) {
            return value(recorded, now);
        }
        ObjectNode seen = (ObjectNode) both(recorded, now);
        if (!recorded.has("starts")) {
            seen.remove("starts");
        }
        JsonNode left = left(recorded.path("leaves"), now.path("leaves"));
        if (left.isMissingNode()) {
            seen.remove("leaves");
        } else {
            seen.set("leaves", left);
        }
        JsonNode asks = demands.without(seen.path("asks"));
        if (asks.isEmpty()) {
            seen.remove("asks");
        } else {
            seen.set("asks", asks);
        }
        if (recorded.path("before").isArray() && now.path("before").isArray()) {
            List<JsonNode> steps = new ArrayList<>();
            for (int i = 0; i < now.get("before").size(); i++) {
                JsonNode was = recorded.get("before").path(i);
                JsonNode is = now.get("before").get(i);
                JsonNode step = was.isMissingNode() ? is : seen(was, is);
                steps.add(step);
                if (Stumble.isBoth(was, is) && !was.path("leaves").equals(is.path("leaves"))) {
                    return Stumble.cut(recorded, steps);
                }
            }
            seen.set("before", JSON.arrayNode().addAll(steps));
        }
        return Stumble.isBoth(recorded, now) ? Stumble.level(recorded, seen) : seen;
    }

    /** The parts that one of them has, those of now as seen from the recorded ones. */
    private JsonNode both(JsonNode recorded, JsonNode now) {
        ObjectNode seen = JSON.objectNode();
        now.properties().forEach(each -> seen.set(each.getKey(), recorded.has(each.getKey())
                ? value(recorded.get(each.getKey()), each.getValue()) : each.getValue()));
        return seen;
    }

    private JsonNode value(JsonNode recorded, JsonNode now) {
        if (recorded.isArray() && now.isArray() && recorded.size() == now.size()) {
            ArrayNode seen = JSON.arrayNode();
            for (int i = 0; i < now.size(); i++) {
                seen.add(value(recorded.get(i), now.get(i)));
            }
            return seen;
        }
        if (!recorded.isObject() || !now.isObject()) {
            return now;
        }
        if (Stumble.isSame(recorded, now)) {
            return recorded;
        }
        return isOwn(recorded) && isOwn(now) ? object(recorded, now) : both(recorded, now);
    }

    /** Whether it is an object that tells its answers rather than a text of its own. */
    private static boolean isOwn(JsonNode value) {
        return value.path("is").isTextual() && !value.get("is").asText().startsWith("java.") && !value.has("text");
    }

    private JsonNode object(JsonNode recorded, JsonNode now) {
        String was = recorded.get("is").asText();
        String is = now.get("is").asText();
        boolean told = was.equals(is) || types.contains(was) && types.contains(is) || now.has("message");
        ObjectNode seen = JSON.objectNode().put("is", told ? is : was);
        if (!told) {
            built.add(simple(is) + " for " + simple(was));
        }
        for (var each : recorded.properties()) {
            String name = each.getKey();
            if (name.equals("is")) {
                continue;
            }
            JsonNode answer = now.has(name) ? value(each.getValue(), now.get(name)) : gone(was, is, name, each.getValue());
            if (!answer.isMissingNode()) {
                seen.set(name, answer);
            }
        }
        return seen;
    }

    /** In place of an answer that is not there: what was recorded where it is no longer asked, else nothing. */
    private JsonNode gone(String was, String is, String name, JsonNode recorded) {
        if (answersNow.test(is, name) || kept.contains(was)) {
            return MissingNode.getInstance();
        }
        unasked.add(simple(was) + "." + name);
        return recorded;
    }

    /** Objects by the answers that changed: one that is not told did not change, if it can still be asked. */
    private JsonNode left(JsonNode recorded, JsonNode now) {
        if (!recorded.isObject()) {
            return now;
        }
        ObjectNode seen = JSON.objectNode();
        Set<String> names = new LinkedHashSet<>();
        recorded.fieldNames().forEachRemaining(names::add);
        now.fieldNames().forEachRemaining(names::add);
        for (String name : names) {
            JsonNode was = recorded.path(name);
            JsonNode is = now.path(name);
            if (isOwn(was)) {
                ObjectNode parts = changed(was, is);
                if (is.isObject() || parts.size() > 1) {
                    seen.set(name, parts);
                }
            } else if (!is.isMissingNode()) {
                seen.set(name, value(was, is));
            }
        }
        return seen.isEmpty() && now.isMissingNode() ? MissingNode.getInstance() : seen;
    }

    private ObjectNode changed(JsonNode recorded, JsonNode now) {
        String type = recorded.get("is").asText();
        ObjectNode parts = now.isObject() ? (ObjectNode) value(recorded, now) : JSON.objectNode().put("is", type);
        for (var each : now.isObject() ? now.properties() : recorded.properties()) {
            if (!parts.has(each.getKey())) {
                JsonNode answer = now.isObject() ? each.getValue() : gone(type, type, each.getKey(), each.getValue());
                if (!answer.isMissingNode()) {
                    parts.set(each.getKey(), answer);
                }
            }
        }
        return parts;
    }

    private static String simple(String name) {
        return name.substring(name.lastIndexOf('.') + 1);
    }
}
