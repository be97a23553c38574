package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The first findings are the first causes, in every format: what has one cause stands together and counts once. */
class TopTest {
    private static final String LIST = "String ship, int berth, int draught, int length, String flag, boolean pilot";
    @TempDir
    Path folder;

    /** Two causes: three routines that hand over the same, and one list of its own. */
    @BeforeEach
    void write() throws IOException {
        Files.writeString(folder.resolve("Quay.java"), "interface Quay {\n    void moor(" + LIST + ");\n}\n");
        Files.writeString(folder.resolve("Roads.java"), "interface Roads {\n    void anchor(" + LIST + ");\n    void bill(String payer, int tons, int days, int rate, String code, boolean paid, int cents);\n}\n");
        Files.writeString(folder.resolve("Lock.java"), "interface Lock {\n    void pass(" + LIST + ");\n}\n");
    }

    private String scan(String... options) {
        List<String> all = new ArrayList<>(List.of("scan"));
        all.addAll(List.of(options));
        all.add(folder.toString());
        return InProcess.run(all.toArray(String[]::new)).out();
    }

    @Test
    void findingsOfOneCauseStandTogether() throws IOException {
        JsonNode findings = new ObjectMapper().readTree(scan("--format", "json")).get("findings");
        List<String> causes = new ArrayList<>();
        findings.forEach(each -> causes.add(each.get("cause").asText()));
        assertThat(causes).hasSize(4);
        List<String> runs = new ArrayList<>();
        causes.forEach(each -> {
            if (runs.isEmpty() || !runs.get(runs.size() - 1).equals(each)) {
                runs.add(each);
            }
        });
        assertThat(runs).as("each cause is one run").hasSize(2).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @CsvSource({"json, '\"id\" :', 1, false", "lines, long-parameter-list, 1, false", "sarif, '\"ruleId\" :', 1, false", "json, '\"id\" :', 2, true",
        "lines, long-parameter-list, 0, true", "sarif, '\"ruleId\" :', 9, true"})
    void causesAreCounted(String format, String mark, int top, boolean all) {
        String told = scan("--format", format, "--top", String.valueOf(top));
        int found = told.split(Pattern.quote(mark), -1).length - 1;
        assertThat(found).as(told).isIn(all ? List.of(4) : List.of(1, 3));
    }

    @Test
    void theTextNamesTheOthersOfACauseInALineEach() {
        String text = scan("--top", "0");
        assertThat(text).contains("4 findings in 3 files");
        assertThat(text.lines().filter(each -> each.strip().startsWith("and lp-"))).hasSize(2);
    }
}
