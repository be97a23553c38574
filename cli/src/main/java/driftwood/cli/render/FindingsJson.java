package driftwood.cli.render;

import driftwood.cli.Version;
import driftwood.pattern.Fit;
import driftwood.scan.Causes;
import driftwood.scan.Scan;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.source.Unread;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Findings in the format {@code driftwood-findings/1}; documented in docs/formats.md. */
public final class FindingsJson {
    private FindingsJson() {
    }

    public static void print(Selected shown, Appendable out) {
        Map<String, Object> scanned = new LinkedHashMap<>();
        scanned.put("files", shown.files().size());
        scanned.put("lines", shown.lines());
        scanned.put("languages", shown.languages());
        List<Object> unread = new ArrayList<>();
        for (Unread each : shown.unread()) {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("file", each.file());
            entry.put("line", each.line());
            entry.put("why", each.why());
            unread.add(entry);
        }
        scanned.put("unread", unread);
        Map<String, Object> whole = new LinkedHashMap<>();
        whole.put("format", "driftwood-findings/1");
        whole.put("version", Version.current());
        whole.put("scanned", scanned);
        Map<String, String> causes = Causes.of(shown.causes());
        whole.put("findings", shown.findings().stream().map(finding -> finding(finding, causes.get(finding.id()), shown.result())).toList());
        Json.line(whole, out);
    }

    private static Map<String, Object> finding(Finding finding, String cause, Scan.Result result) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("id", finding.id());
        entry.put("smell", finding.smell());
        entry.put("cause", cause);
        entry.put("drag", finding.drag().value());
        entry.put("dragReasons", finding.drag().reasons());
        entry.put("language", finding.language());
        entry.put("file", finding.file());
        entry.put("line", finding.line());
        entry.put("endLine", finding.endLine());
        entry.put("symbol", finding.symbol());
        entry.put("message", FindingsText.sentence(finding));
        entry.put("evidence", finding.evidence().stream().map(FindingsJson::evidence).toList());
        entry.put("patterns", result.fits().getOrDefault(finding.id(), List.of()).stream().map(FindingsJson::fit).toList());
        return entry;
    }

    private static Map<String, Object> evidence(Evidence evidence) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("file", evidence.file());
        entry.put("line", evidence.line());
        entry.put("endLine", evidence.endLine());
        entry.put("note", evidence.note());
        return entry;
    }

    private static Map<String, Object> fit(Fit fit) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("pattern", fit.pattern());
        entry.put("fit", fit.score());
        entry.put("because", fit.because());
        return entry;
    }
}
