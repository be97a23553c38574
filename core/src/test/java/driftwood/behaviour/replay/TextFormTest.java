package driftwood.behaviour.replay;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.behaviour.build.Homes;
import driftwood.behaviour.process.Conditions;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.run.Observation;
import driftwood.behaviour.run.ValueJson;
import driftwood.witness.Asking;
import driftwood.witness.Asking.Manner;
import driftwood.witness.Make;
import driftwood.witness.Script;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Values of library types are made in a real process. */
class TextFormTest {

    @ParameterizedTest(name = "{0} of {1}")
    @CsvSource(delimiter = '|', value = {
            "Date | 2026-03-01T08:15:30.250Z | java.util.Date | 2026-03-01T08:15:30.250Z",
            "Calendar | 2026-03-01T08:15:30.250Z[UTC] | java.util.GregorianCalendar | 2026-03-01T08:15:30.250Z[UTC]",
            "java.time.ZonedDateTime | 2026-03-01T08:15Z[UTC] | java.time.ZonedDateTime | 2026-03-01T08:15Z[UTC]",
            "Path | absent.txt | sun.nio.fs.UnixPath | absent.txt",
            "Locale | pt-PT | java.util.Locale | pt_PT",
            "Charset | UTF-16 | sun.nio.cs.UTF_16 | UTF-16",
            "URI | mailto:watch@kelp-quay.example | java.net.URI | mailto:watch@kelp-quay.example",
            "Period | P1Y2M | java.time.Period | P1Y2M",
            "Currency | EUR | java.util.Currency | EUR"})
    void isMadeAndDescribed(String name, String text, String type, String told) {
        Make made = TextForm.of(name).orElseThrow().make(text);
        Script script = new Script("c1", List.of(made), List.of());
        var outcome = new Observation(new Homes(List.of(), List.of()), Limits.DEFAULT).run(List.of(script),
                new Asking(Map.of(), List.of("nowhere"), Manner.ALONG), Conditions.USUAL).get(0);
        assertThat(ValueJson.of(outcome).at("/gives/is").asText()).isEqualTo(type);
        assertThat(ValueJson.of(outcome).at("/gives/text").asText()).isEqualTo(told);
    }

    @ParameterizedTest
    @CsvSource({"Calendar", "InputStream", "OutputStream", "Reader", "Writer", "Throwable", "Class", "Scanner", "TimeZone"})
    void isKnownByItsSimpleName(String name) {
        assertThat(TextForm.of(name)).isPresent().get().satisfies(form -> assertThat(form.samples()).isNotEmpty());
    }

    @ParameterizedTest
    @CsvSource({"quay.Date", "Tide", "java.sql.Date"})
    void othersOfTheSameNameAreNot(String name) {
        assertThat(TextForm.of(name)).isEqualTo(Optional.empty());
    }
}
