package driftwood.behaviour.tests;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.recording.Comparison;
import driftwood.behaviour.tests.JavaCode.CannotWrite;
import driftwood.behaviour.view.Ways;
import driftwood.program.Program;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Writes recorded outcomes as AssertJ assertions. */
final class JavaChecks {
    private static final Set<String> WHOLE = Set.of("int", "short", "byte", "long");
    private static final Set<String> ITERABLE = Set.of("List", "Collection", "Set", "Iterable", "ArrayList", "LinkedList",
            "SortedSet", "LinkedHashSet", "HashSet", "TreeSet");
    private static final int DEEPEST = 3;
    /** How the older dates of the platform are asked for what was recorded of them: their own texts say less. */
    private static final Map<String, String> MOMENTS = Map.of("java.util.Date", ".toInstant()",
            "java.util.GregorianCalendar", ".toZonedDateTime()");

    private final JavaCode code;
    private final Program program;

    JavaChecks(JavaCode code, Program program) {
        this.code = code;
        this.program = program;
    }

    /**
     * Assertions on a value.
     *
     * @param subject  expression or variable that gives the value
     * @param declared its static type
     * @param masked   places in the outcome that vary
     * @param at       where the value is in the outcome
     * @throws CannotWrite where nothing of it can be said
     */
    List<String> of(String subject, JsonNode value, TypeRef declared, List<String> masked, String at) throws CannotWrite {
        String that = "assertThat(" + subject + ")";
        String type = declared.simpleName();
        if (masked.stream().anyMatch(place -> place.equals(at) || place.startsWith(at + "/") && !value.isObject())) {
            return List.of();
        }
        if (value.isNull()) {
            return List.of(that + ".isNull();");
        }
        if (value.isBoolean()) {
            return List.of(type.equalsIgnoreCase("boolean") ? that + (value.asBoolean() ? ".isTrue();" : ".isFalse();")
                    : that + ".isEqualTo((Object) " + value.asText() + ");");
        }
        if (value.isTextual()) {
            return List.of(type.equals("String") ? that + ".isEqualTo(" + JavaCode.quoted(value.asText()) + ");"
                    : object(subject) + ".hasToString(" + JavaCode.quoted(value.asText()) + ");");
        }
        if (value.isNumber()) {
            return List.of(number(subject, value.asText(), type));
        }
        if (value.isArray()) {
            return items(subject, value, declared);
        }
        if (value.has("same") && !value.has("is")) {
            return List.of(object(subject) + ".isNotNull();");
        }
        return structured(subject, value, type, masked, at, 0, "");
    }

    private String number(String subject, String text, String type) {
        if (WHOLE.contains(type)) {
            return "assertThat(" + subject + ").isEqualTo(" + (type.equals("long") ? text + "L" : "(" + type + ") " + text)
                    .replace("(int) ", "") + ");";
        }
        return object(subject) + ".hasToString(" + JavaCode.quoted(text) + ");";
    }

    /** Any value, whatever its static type: assertions on texts and numbers of their own would only get in the way. */
    private static String object(String subject) {
        return "assertThat((Object) " + subject + ")";
    }

    /** Elements by their texts; where they are objects, how many there are. */
    private List<String> items(String subject, JsonNode items, TypeRef declared) throws CannotWrite {
        boolean iterable = ITERABLE.contains(declared.simpleName().replaceAll("<.*", ""));
        List<String> texts = new ArrayList<>();
        for (JsonNode each : items) {
            if (each.isContainerNode()) {
                texts.clear();
                break;
            }
            texts.add(JavaCode.quoted(each.asText()));
        }
        boolean plain = texts.size() == items.size();
        if (declared.isArray()) {
            String element = declared.element().simpleName();
            if (plain && (WHOLE.contains(element) && !element.equals("long") || element.equals("String"))) {
                return List.of("assertThat(" + subject + ")." + (items.isEmpty() ? "isEmpty();" : "containsExactly("
                        + String.join(", ", element.equals("String") ? nulls(items)
                                : texts.stream().map(each -> ("(" + element + ") " + unquoted(each)).replace("(int) ", "")).toList()) + ");"));
            }
            return List.of("assertThat(" + subject + ").hasSize(" + items.size() + ");");
        }
        if (!iterable) {
            throw new CannotWrite("results of type " + declared.text());
        }
        return List.of(!plain || items.isEmpty() ? "assertThat(" + subject + ").hasSize(" + items.size() + ");"
                : "assertThat(" + subject + ").map(String::valueOf).containsExactly(" + String.join(", ", texts) + ");");
    }

    private static List<String> nulls(JsonNode items) {
        List<String> texts = new ArrayList<>();
        items.forEach(each -> texts.add(each.isNull() ? "null" : JavaCode.quoted(each.asText())));
        return texts.equals(List.of("null")) ? List.of("(String) null") : texts;
    }

    private static String unquoted(String text) {
        return text.substring(1, text.length() - 1);
    }

    private List<String> structured(String subject, JsonNode value, String declared, List<String> masked, String at,
            int depth, String path) throws CannotWrite {
        // Its parts may go by any name.
        boolean object = value.has("is");
        String that = path.isEmpty() ? object(subject) : object(subject) + ".extracting(" + JavaCode.quoted(path) + ")";
        if (!object && value.has("enum")) {
            String name = value.get("enum").asText();
            return List.of(that + ".extracting(each -> ((Enum<?>) each).name()).isEqualTo("
                    + JavaCode.quoted(name.substring(name.lastIndexOf('.') + 1)) + ");");
        }
        if (!object && value.has("char")) {
            return List.of(that + ".hasToString(" + JavaCode.quoted(value.get("char").asText()) + ");");
        }
        if (!object && value.has("number")) {
            return List.of(that + ".hasToString(" + JavaCode.quoted(value.get("number").asText()) + ");");
        }
        if (!object && value.has("optional")) {
            needs(value.get("optional").size() == 1 && value.get("optional").get(0).isContainerNode(), "optional objects");
            return List.of(that + ".hasToString(" + JavaCode.quoted(value.get("optional").isEmpty() ? "Optional.empty"
                    : "Optional[" + value.get("optional").get(0).asText() + "]") + ");");
        }
        if (value.has("is") && value.size() == 2 && value.path("text").isTextual()) {
            String is = value.get("is").asText();
            if (is.equals("java.util.Date") && declared.equals("Date") && path.isEmpty()) {
                return List.of("assertThat(" + subject + ".toInstant()).hasToString(" + JavaCode.quoted(value.get("text").asText()) + ");");
            }
            that += MOMENTS.containsKey(is) ? ".extracting(each -> ((" + is + ") each)" + MOMENTS.get(is) + ")" : "";
            return List.of(that + ".hasToString(" + JavaCode.quoted(value.get("text").asText()) + ");");
        }
        needs(!value.has("is") || depth > DEEPEST, "results of this form");
        List<String> lines = new ArrayList<>();
        String type = value.get("is").asText();
        if (!type.substring(type.lastIndexOf('.') + 1).equals(declared)) {
            lines.add(that + ".extracting(each -> each.getClass().getCanonicalName()).isEqualTo(" + JavaCode.quoted(type) + ");");
        }
        List<String> names = new ArrayList<>();
        List<String> texts = new ArrayList<>();
        List<String> inner = new ArrayList<>();
        for (Map.Entry<String, JsonNode> part : value.properties()) {
            String place = at + "/" + Comparison.escaped(part.getKey());
            String name = (path.isEmpty() ? "" : path + ".") + property(part.getKey());
            if (part.getKey().equals("is") || masked.stream().anyMatch(each -> each.startsWith(place))) {
                continue;
            }
            if (path.isEmpty() && part.getValue().isValueNode() && isAsked(type, part.getKey())) {
                String asked = object(subject) + ".extracting(each -> ((" + code.type(new Ways(program)
                        .binaryName(program.type(type).orElseThrow())) + ") each)." + part.getKey() + "())";
                inner.add(asked + (part.getValue().isNull() ? ".isNull();"
                        : ".hasToString(" + JavaCode.quoted(part.getValue().asText()) + ");"));
            } else if (part.getValue().isNull()) {
                inner.add(object(subject) + ".extracting(" + JavaCode.quoted(name) + ").isNull();");
            } else if (part.getValue().isValueNode()) {
                names.add(JavaCode.quoted(name));
                texts.add(part.getValue().asText());
            } else {
                part(subject, part.getValue(), masked, place, depth, name, inner);
            }
        }
        if (!names.isEmpty()) {
            String all = object(subject) + ".extracting(" + String.join(", ", names) + ")";
            lines.add(all + ".hasToString(" + JavaCode.quoted(names.size() == 1 ? texts.get(0) : texts.toString()) + ");");
        }
        lines.addAll(inner);
        needs(lines.isEmpty(), "objects without parts");
        return lines;
    }

    /** As assertions name what a getter gives: {@code getPosition()} is position, {@code depth()} depth. */
    private static String property(String query) {
        String bare = query.replaceFirst("^(get|is)(?=[A-Z])", "");
        return bare.equals(query) ? query : Character.toLowerCase(bare.charAt(0)) + bare.substring(1);
    }

    /** Whether a routine of the very name tells the part: a field of that name may hold something else. */
    private boolean isAsked(String type, String part) {
        return program.type(type).map(found -> found.routines().stream().anyMatch(each -> each.name().equals(part)
                && each.parameters().isEmpty() && !each.traits().isPrivate())).orElse(false);
    }

    /** Parts of which nothing simple can be said are left out: what is said stays true. */
    private void part(String subject, JsonNode value, List<String> masked, String at, int depth, String path,
            List<String> lines) {
        if (value.isObject()) {
            try {
                lines.addAll(structured(subject, value, "", masked, at, depth + 1, path));
            } catch (CannotWrite e) {
                return;
            }
        }
    }

    private static void needs(boolean not, String what) throws CannotWrite {
        if (not) {
            throw new CannotWrite(what);
        }
    }
}
