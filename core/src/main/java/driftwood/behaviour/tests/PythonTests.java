package driftwood.behaviour.tests;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.tests.JavaCode.CannotWrite;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.tree.Mark;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Writes a recording as tests with the standard library's unittest: a file for each observed type or module. */
public final class PythonTests implements KeptTests {
    private static final int DEEPEST = 3;

    private final Program program;

    public PythonTests(Program program) {
        this.program = program;
    }

    @Override
    public Written write(Recording recording) {
        Map<String, List<Case>> byType = new LinkedHashMap<>();
        recording.cases().forEach(each -> byType.computeIfAbsent(each.routine().substring(0, each.routine().indexOf('#')),
                key -> new ArrayList<>()).add(each));
        Map<String, String> files = new LinkedHashMap<>();
        Map<String, Integer> left = new LinkedHashMap<>();
        int kept = 0;
        for (Map.Entry<String, List<Case>> each : byType.entrySet()) {
            PythonCode code = new PythonCode(program);
            Map<String, Map<String, List<String>>> groups = new LinkedHashMap<>();
            for (Case one : each.getValue()) {
                try {
                    String test = test(one, code);
                    String member = one.routine().substring(one.routine().indexOf('#') + 1);
                    String group = member.equals("new") ? "Construction" : member.substring(0, member.indexOf('('));
                    groups.computeIfAbsent(group, key -> new LinkedHashMap<>()).computeIfAbsent(snake(TestNames.of(one.outcome(),
                            TypeRef.NONE)), key -> new ArrayList<>()).add(test);
                    kept++;
                } catch (CannotWrite e) {
                    left.merge(e.getMessage(), 1, Integer::sum);
                }
            }
            if (!groups.isEmpty()) {
                files.put("test_" + snake(each.getKey().replace('.', '_')) + "_behaviour.py", file(each.getKey(), groups, code));
            }
        }
        return new Written(files, kept, left);
    }

    private static String snake(String name) {
        return name.replaceAll("([a-z0-9])([A-Z])", "$1_$2").toLowerCase(Locale.ROOT).replaceAll("_+", "_");
    }

    private static String camel(String name) {
        StringBuilder all = new StringBuilder();
        for (String word : name.split("_")) {
            all.append(word.isEmpty() ? "" : word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1));
        }
        return all.toString();
    }

    private static String file(String subject, Map<String, Map<String, List<String>>> groups, PythonCode code) {
        StringBuilder body = new StringBuilder();
        groups.forEach((group, tests) -> {
            body.append("\n\nclass ").append(camel(group)).append("Test(unittest.TestCase):\n");
            List<String> written = new ArrayList<>();
            tests.forEach((name, cases) -> written.add("    def test_" + name + "(self):\n        "
                    + String.join("\n", cases).replace("\n", "\n        ") + "\n"));
            body.append(String.join("\n", written));
        });
        StringBuilder head = new StringBuilder("\"\"\"What " + subject
                + " did on the day it was recorded, right or wrong.\"\"\"\nimport contextlib\nimport io\nimport unittest\n\n");
        code.imports().forEach(each -> head.append(each).append('\n'));
        if (code.completes()) {
            head.append("""


                    def completed(made, **parts):
                        for name, part in parts.items():
                            setattr(made, name, part)
                        return made
                    """);
        }
        return head + body.toString() + "\n\nif __name__ == \"__main__\":\n    unittest.main()\n";
    }

    private String test(Case each, PythonCode code) throws CannotWrite {
        JsonNode outcome = each.outcome() == null ? MissingNode.getInstance() : each.outcome();
        boolean gives = outcome.has("gives");
        List<String> masked = each.varies() == null ? List.of() : each.varies();
        if (!gives && !outcome.has("throws") || each.anyOrder() != null && !each.anyOrder().isEmpty() || !masked.isEmpty()) {
            throw new CannotWrite("cases that do not end in the same way each time");
        }
        if (outcome.has("files") || outcome.has("complains")) {
            throw new CannotWrite("files and error output");
        }
        PythonSteps steps = new PythonSteps(each, code);
        String call = steps.write(outcome.path("leaves").has("this"));
        List<String> lines = new ArrayList<>();
        List<String> making = steps.lines();
        if (outcome.path("iterating").asBoolean() || outcome.path("gives").has("iterates")) {
            call = "list(" + call + ")";
        }
        if (!gives) {
            return thrown(making, call, outcome.get("throws"));
        }
        lines.addAll(making);
        lines.addAll(given(call, outcome, code));
        if (outcome.path("leaves").has("this")) {
            check(steps.receiver(), outcome.at("/leaves/this"), code, 0, lines);
        }
        return String.join("\n", lines);
    }

    private List<String> given(String call, JsonNode outcome, PythonCode code) throws CannotWrite {
        List<String> lines = new ArrayList<>();
        if (outcome.has("prints")) {
            List<String> printed = new ArrayList<>();
            outcome.get("prints").forEach(each -> printed.add(each.asText()));
            lines.addAll(List.of("with contextlib.redirect_stdout(io.StringIO()) as printed:", "    result = " + call,
                    "self.assertEqual(printed.getvalue(), " + code.of(outcome.get("prints").isEmpty() ? outcome
                            : com.fasterxml.jackson.databind.node.TextNode.valueOf(String.join("\n", printed))) + ")"));
        } else {
            lines.add("result = " + call);
        }
        check("result", outcome.path("gives").has("iterates") ? outcome.at("/gives/iterates") : outcome.get("gives"), code, 0, lines);
        return lines;
    }

    /** A value is compared whole where it can be written; an object by its parts; what cannot be said is left out. */
    private void check(String subject, JsonNode value, PythonCode code, int depth, List<String> lines) throws CannotWrite {
        if (value.isNull()) {
            lines.add("self.assertIsNone(" + subject + ")");
        } else if (value.isBoolean()) {
            lines.add("self.assertIs(" + subject + ", " + code.of(value) + ")");
        } else if (isObject(value)) {
            String name = value.get("is").asText();
            lines.add("self.assertEqual(type(" + subject + ").__qualname__, \"" + own(name) + "\")");
            for (Map.Entry<String, JsonNode> part : value.properties()) {
                if (!part.getKey().equals("is") && !part.getKey().equals("elements") && depth < DEEPEST && isSimple(part.getValue())) {
                    check(asked(subject, name, part.getKey()), part.getValue(), code, depth + 1, lines);
                }
            }
        } else if (isSimple(value)) {
            lines.add("self.assertEqual(" + subject + ", " + code.of(value) + ")");
        } else {
            throw new CannotWrite("results of this form");
        }
    }

    /** How an object is asked: a method is called, an attribute or a property read. */
    private String asked(String subject, String type, String query) {
        if (query.startsWith("__")) {
            return query.replace("_", "") + "(" + subject + ")";
        }
        List<TypeOutline> all = new ArrayList<>();
        program.type(type).ifPresent(found -> {
            all.add(found);
            all.addAll(program.ancestors(found));
        });
        boolean method = all.stream().anyMatch(each -> each.routines().stream().anyMatch(routine -> routine.name().equals(query)
                && !routine.traits().has(Mark.ACCESSOR) && !routine.traits().isAnnotated("cached_property")));
        return subject + "." + query + (method ? "()" : "");
    }

    private boolean isObject(JsonNode value) {
        return value.isObject() && program.type(value.path("is").asText()).isPresent();
    }

    /** Whether it can be written as an expression, or be told by its parts. */
    private boolean isSimple(JsonNode value) {
        if (value.isObject() && !isObject(value) && (value.has("opaque") || value.has("same") || value.has("cut") || value.has("number")
                || value.has("standIn") || value.has("is"))) {
            return false;
        }
        for (JsonNode each : value) {
            if (each.isContainerNode() && (value.isArray() && isObject(each) || !isSimple(each))) {
                return isObject(value);
            }
        }
        return true;
    }

    private String own(String name) {
        String module = name;
        while (!program.type(module).map(TypeOutline::isModule).orElse(false) && module.indexOf('.') > 0) {
            module = module.substring(0, module.lastIndexOf('.'));
        }
        return name.substring(module.length() + 1);
    }

    private static String thrown(List<String> making, String call, JsonNode problem) {
        String type = problem.path("is").asText();
        List<String> lines = new ArrayList<>(List.of("with self.assertRaises(Exception) as raised:"));
        making.forEach(each -> lines.add("    " + each));
        lines.add("    " + call);
        lines.add("self.assertEqual(type(raised.exception).__qualname__, \"" + type.substring(type.lastIndexOf('.') + 1) + "\")");
        JsonNode message = problem.path("message");
        if (type.indexOf('.') > 0 && message.isTextual() && !message.asText().contains("0x...")) {
            lines.add("self.assertEqual(str(raised.exception), " + message + ")");
        }
        return String.join("\n", lines);
    }
}
