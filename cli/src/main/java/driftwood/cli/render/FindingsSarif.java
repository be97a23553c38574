package driftwood.cli.render;

import driftwood.cli.Version;
import driftwood.pattern.Patterns;
import driftwood.scan.Causes;
import driftwood.smell.Detector;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Smell;
import driftwood.smell.detect.Catalogue;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Findings as SARIF 2.1.0, the OASIS standard for results of static analysis, with fingerprints, related locations and
 * help texts. Section numbers below are those of the standard.
 */
public final class FindingsSarif {
    private static final String SCHEMA =
            "https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json";
    private static final double WARNS_AT = 2.5;

    private FindingsSarif() {
    }

    public static void print(Selected shown, Appendable out) {
        Map<String, Object> driver = map("name", "Driftwood", "version", Version.current());
        driver.put("rules", Catalogue.detectors().stream().map(Detector::smell).map(FindingsSarif::rule).toList());
        Map<String, Object> run = map("tool", map("driver", driver));
        run.put("columnKind", "utf16CodeUnits");
        run.put("originalUriBaseIds", map("ROOT", map("uri", folder(shown.result().root()), "description", text("the root of the project"))));
        run.put("invocations", List.of(invocation(shown)));
        Map<String, String> causes = Causes.of(shown.causes());
        run.put("results", shown.findings().stream().map(each -> result(each, causes.get(each.id()))).toList());
        Map<String, Object> whole = map("$schema", SCHEMA, "version", "2.1.0");
        whole.put("runs", List.of(run));
        Json.line(whole, out);
    }

    /** A folder as a URI ends with a slash (3.14.14). */
    private static String folder(Path root) {
        String uri = root.toUri().toString();
        return uri.endsWith("/") ? uri : uri + "/";
    }

    /** What could not be read, as notifications (3.20.21). */
    private static Map<String, Object> invocation(Selected shown) {
        Map<String, Object> invocation = map("executionSuccessful", true);
        List<Object> notes = new ArrayList<>();
        shown.unread().forEach(each -> {
            Map<String, Object> note = map("level", "warning", "message", text("not read: " + each.why()));
            note.put("locations", List.of(location(each.file(), each.line(), each.line())));
            notes.add(note);
        });
        invocation.put("toolExecutionNotifications", notes);
        return invocation;
    }

    private static Map<String, Object> rule(Smell smell) {
        Map<String, Object> rule = map("id", smell.key(), "shortDescription", text(smell.title()));
        rule.put("fullDescription", text(smell.what()));
        rule.put("help", text(smell.what() + "\n\nNot this smell: " + smell.isNot() + "\n\nCures: "
                + String.join(", ", Patterns.answering(smell.key()))));
        return rule;
    }

    private static Map<String, Object> result(Finding finding, String cause) {
        Map<String, Object> result = map("ruleId", finding.smell(),
                "ruleIndex", Catalogue.keys().indexOf(finding.smell()));
        result.put("level", finding.drag().value() >= WARNS_AT ? "warning" : "note");
        result.put("message", text(FindingsText.sentence(finding)));
        Map<String, Object> place = location(finding.file(), finding.line(), finding.endLine());
        place.put("logicalLocations", List.of(map("fullyQualifiedName", finding.symbol())));
        result.put("locations", List.of(place));
        List<Object> related = new ArrayList<>();
        for (Evidence each : finding.evidence()) {
            Map<String, Object> location = location(each.file(), each.line(), each.endLine());
            location.put("id", related.size());
            location.put("message", text(each.note()));
            related.add(location);
        }
        result.put("relatedLocations", related);
        result.put("partialFingerprints", map("driftwood/1", finding.id()));
        result.put("properties", map("cause", cause));
        result.put("rank", Math.round(finding.drag().value() * 200) / 10.0);
        return result;
    }

    private static Map<String, Object> location(String file, int line, int endLine) {
        Map<String, Object> physical = map("artifactLocation", map("uri", uri(file), "uriBaseId", "ROOT"));
        physical.put("region", map("startLine", line, "endLine", Math.max(line, endLine)));
        return map("physicalLocation", physical);
    }

    /** A relative reference with everything escaped that a URI may not hold (RFC 3986, 4.2). */
    private static String uri(String file) {
        try {
            return new URI(null, null, "/" + file, null).getRawPath().substring(1);
        } catch (URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Map<String, Object> text(String text) {
        return map("text", text);
    }

    private static Map<String, Object> map(Object... pairs) {
        Map<String, Object> map = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            map.put((String) pairs[i], pairs[i + 1]);
        }
        return map;
    }
}
