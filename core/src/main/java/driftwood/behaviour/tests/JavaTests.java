package driftwood.behaviour.tests;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.replay.Assembly.CannotMake;
import driftwood.behaviour.replay.Scripts;
import driftwood.behaviour.tests.JavaCode.CannotWrite;
import driftwood.behaviour.view.Ways;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.tree.Import;
import driftwood.tree.TypeRef;
import driftwood.witness.Make;
import driftwood.witness.Script;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Writes a recording as ordinary tests with JUnit 5 and AssertJ, which need nothing of Driftwood: a class for each
 * observed type, a nested class for each routine, a test for each kind of outcome.
 */
public final class JavaTests implements KeptTests {
    /** Longer tests say nothing by their name any more. */
    private static final int MOST_CASES = 10;
    /** What somebody imports who works with dates or languages. */
    private static final Set<String> PLACED = Set.of("java.util.Calendar", "java.util.Date", "java.util.TimeZone",
            "java.util.GregorianCalendar", "java.util.Locale");
    private static final Make NOTHING = new Make.Literal("null", "");

    private final Program program;
    private final Scripts scripts;

    public JavaTests(Program program) {
        this.program = program;
        this.scripts = new Scripts(program);
    }

    /** A written case. @param routine that it calls, as in the recording */
    private record Piece(String routine, String name, String text) {
    }

    @Override
    public Written write(Recording recording) {
        Map<String, String> files = new LinkedHashMap<>();
        Map<String, Integer> left = new LinkedHashMap<>();
        Map<String, List<Case>> byType = new LinkedHashMap<>();
        recording.cases().forEach(each -> byType.computeIfAbsent(each.routine().substring(0, each.routine().indexOf('#')),
                key -> new ArrayList<>()).add(each));
        int[] kept = {0};
        byType.forEach((name, cases) -> program.type(name).ifPresentOrElse(type -> {
            String packageName = program.fileOf(type).packageName();
            JavaCode code = new JavaCode(packageName);
            List<Piece> pieces = new ArrayList<>();
            for (Case each : cases) {
                try {
                    pieces.add(piece(type, each, code));
                } catch (CannotWrite | CannotMake e) {
                    left.merge(e.getMessage(), 1, Integer::sum);
                }
            }
            String simple = name.substring(packageName.isEmpty() ? 0 : packageName.length() + 1).replace(".", "") + "BehaviourTest";
            if (!pieces.isEmpty()) {
                kept[0] += pieces.size();
                String text = new JavaTestClass(packageName, simple, type.simpleName(), code,
                        dependsOnPlace(type)).of(grouped(pieces));
                files.put((packageName.isEmpty() ? "" : packageName.replace('.', '/') + "/") + simple + ".java", text);
            }
        }, () -> left.merge("the type " + name + ", which is gone", cases.size(), Integer::sum)));
        return new Written(files, kept[0], left);
    }

    private boolean dependsOnPlace(TypeOutline type) {
        return program.fileOf(type).imports().stream().map(Import::name).anyMatch(each -> each.startsWith("java.time.")
                || each.startsWith("java.text.") || PLACED.contains(each));
    }

    /** By routine, then by name of the test. */
    private static Map<String, Map<String, List<String>>> grouped(List<Piece> pieces) {
        Map<String, Map<String, List<String>>> groups = new LinkedHashMap<>();
        for (Piece each : pieces) {
            Map<String, List<String>> tests = groups.computeIfAbsent(each.routine(), key -> new LinkedHashMap<>());
            String name = each.name();
            for (int i = 2; tests.getOrDefault(name, List.of()).size() >= MOST_CASES; i++) {
                name = each.name() + "In" + i;
            }
            tests.computeIfAbsent(name, key -> new ArrayList<>()).add(each.text());
        }
        return groups;
    }

    private Piece piece(TypeOutline type, Case each, JavaCode code) throws CannotWrite {
        JsonNode outcome = each.outcome();
        List<String> masked = each.varies() == null ? List.of() : each.varies();
        if (outcome == null) {
            throw new CannotWrite("cases without a recorded outcome");
        }
        boolean gives = outcome.has("gives");
        if (!gives && !outcome.has("throws") || !(each.anyOrder() == null || each.anyOrder().isEmpty())) {
            throw new CannotWrite("cases that do not end in the same way each time");
        }
        if (outcome.has("files") || outcome.has("complains")) {
            throw new CannotWrite("files and error output");
        }
        Script script = scripts.of(each);
        boolean construction = script.steps().isEmpty();
        RoutineOutline observed = construction ? null : scripts.observed(type, each);
        TypeRef result = construction ? new TypeRef(type.simpleName()) : observed.returns();
        if (!construction) {
            refuse(type, observed, (Make.Call) script.steps().get(script.steps().size() - 1).act());
        }
        boolean leaves = outcome.path("leaves").has("this");
        JavaSteps steps = new JavaSteps(script, code, outcome);
        String subject = steps.write(variable(type), code.type(new Ways(program).binaryName(type)), leaves && !construction);
        List<String> lines = new ArrayList<>(steps.lines());
        JavaChecks checks = new JavaChecks(code, program);
        lines.addAll(gives ? given(checks, code, subject, outcome, result, masked) : thrown(subject, outcome, masked));
        if (leaves) {
            lines.addAll(checks.of(steps.receiver(), outcome.at("/leaves/this"), new TypeRef(type.simpleName()), masked, "/leaves/this"));
        }
        String routine = construction ? "Construction" : observed.name();
        return new Piece(routine, TestNames.of(outcome, result), String.join("\n", lines));
    }

    private static void refuse(TypeOutline type, RoutineOutline observed, Make.Call call) throws CannotWrite {
        if (isVague(type, observed, call)) {
            throw new CannotWrite("nothing handed to a routine with overloads or type parameters");
        }
        if (isMixed(observed, call)) {
            throw new CannotWrite("arguments of different types where the routine's type parameters want one");
        }
    }

    /** Whether the compiler could not tell which routine a null means. */
    private static boolean isVague(TypeOutline type, RoutineOutline routine, Make.Call call) {
        long overloads = type.routines().stream().filter(each -> each.name().equals(routine.name())
                && each.parameters().size() == routine.parameters().size()).count();
        for (int i = 0; i < call.arguments().size(); i++) {
            if (call.arguments().get(i).equals(NOTHING) && (!routine.typeParameters().isEmpty()
                    || overloads > 1 && !JavaCode.CAST.contains(call.parameters().get(i)))) {
                return true;
            }
        }
        return false;
    }

    /** Whether arguments differ that the compiler wants alike: their types share a type parameter. */
    private static boolean isMixed(RoutineOutline routine, Make.Call call) {
        return routine.typeParameters().stream().anyMatch(parameter -> {
            Set<String> kinds = new HashSet<>();
            for (int i = 0; i < call.arguments().size(); i++) {
                if (routine.parameters().get(i).type().text().matches("(.*\\W)?" + parameter + "(\\W.*)?")) {
                    kinds.add(kind(call.arguments().get(i)));
                }
            }
            return kinds.size() > 1;
        });
    }

    private static String kind(Make make) {
        return make instanceof Make.Literal literal ? literal.type() : make.getClass().getSimpleName() + make.toString().replaceAll("[,\\]].*", "");
    }

    private static List<String> given(JavaChecks checks, JavaCode code, String subject, JsonNode outcome, TypeRef result,
            List<String> masked) throws CannotWrite {
        if (outcome.has("prints")) {
            if (masked.stream().anyMatch(each -> each.startsWith("/prints"))) {
                throw new CannotWrite("printed text that varies");
            }
            List<String> printed = new ArrayList<>();
            outcome.get("prints").forEach(each -> printed.add(each.asText()));
            return List.of("assertThat(" + code.printed(subject) + ").isEqualTo("
                    + JavaCode.quoted(String.join("\n", printed)) + ");");
        }
        if (result.text().equals("void")) {
            return outcome.path("leaves").has("this") ? List.of(subject + ";") : List.of("assertThatCode(() -> " + subject + ").doesNotThrowAnyException();");
        }
        List<String> lines = checks.of(subject, outcome.get("gives"), result, masked, "/gives");
        if (lines.size() < 2) {
            return lines;
        }
        List<String> apart = new ArrayList<>(List.of("var result = " + subject + ";"));
        apart.addAll(checks.of("result", outcome.get("gives"), result, masked, "/gives"));
        return apart;
    }

    private static List<String> thrown(String subject, JsonNode outcome, List<String> masked) {
        JsonNode problem = outcome.get("throws");
        String text = "assertThatThrownBy(() -> " + subject + ")\n        .extracting(each -> each.getClass().getName()).isEqualTo("
                + JavaCode.quoted(problem.path("is").asText()) + ");";
        JsonNode message = problem.path("message");
        if (masked.stream().anyMatch(each -> each.startsWith("/throws")) || !message.isTextual()
                || message.asText().contains("@...") || message.asText().contains("class ")) {
            return List.of(text);
        }
        return List.of("assertThatThrownBy(() -> " + subject + ")\n        .hasMessage(" + JavaCode.quoted(message.asText())
                + ")\n        .extracting(each -> each.getClass().getName()).isEqualTo("
                + JavaCode.quoted(problem.path("is").asText()) + ");");
    }

    private static String variable(TypeOutline type) {
        String simple = type.simpleName();
        String name = Character.toLowerCase(simple.charAt(0)) + simple.substring(1);
        return javax.lang.model.SourceVersion.isKeyword(name) ? "it" : name;
    }
}
