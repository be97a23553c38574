package driftwood.behaviour.recording;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.MissingNode;
import driftwood.behaviour.recording.Recording.Case;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Parts that objects cannot do without: what tells them, and what that excuses. */
class NeededPartsTest {
    private static final String STUMBLES = "{\"throws\": {\"is\": \"java.lang.NullPointerException\", \"message\": null}}";
    private static final String REFUSES = "what is handed to board cannot be made: java.lang.NullPointerException";
    private static final NeededParts KIND = new NeededParts(Map.of("quay.Vessel", List.of("kind")));

    private static Case of(String vessel, String outcome) throws Exception {
        return new ObjectMapper().readValue("{\"id\": \"c1\", \"routine\": \"quay.Desk#board(Vessel)\", \"on\": {\"is\": \"quay.Desk\"}, \"given\": {\"vessel\": " + vessel
                + "}, \"outcome\": " + outcome + "}", Case.class);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "{\"is\": \"quay.Vessel\", \"kind\": null, \"tons\": 3}                   | stumbles | kind",
            "{\"is\": \"quay.Vessel\", \"kind\": null, \"tons\": 3}                   | answers  | ",
            "{\"is\": \"quay.Vessel\", \"kind\": null, \"name\": null}                | stumbles | ",
            "{\"is\": \"quay.Vessel\", \"note\": null, \"tons\": 3}                   | stumbles | ",
            "{\"is\": \"quay.Vessel\", \"kind\": {\"enum\": \"quay.Kind.TUG\"}}       | stumbles | ",
            "null                                                                     | stumbles | "})
    void isFoundWhereItAloneIsNothingAndNobodyAsksForIt(String vessel, String ends, String part) throws Exception {
        Case run = of(vessel, ends.equals("stumbles") ? STUMBLES : "{\"gives\": 1}");
        assertThat(NeededParts.of(List.of(run), (type, word) -> word.equals("note"))).isEqualTo(part == null ? null : Map.of("quay.Vessel", List.of(part)));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "{\"is\": \"quay.Vessel\", \"kind\": null} | it is not made                   | Vessel.kind",
            "{\"is\": \"quay.Vessel\", \"kind\": null} | it stumbles                      | Vessel.kind",
            "{\"is\": \"quay.Vessel\", \"kind\": null} | it answers otherwise             | ",
            "{\"is\": \"quay.Vessel\", \"kind\": null} | it has no such constructor       | ",
            "{\"is\": \"quay.Vessel\", \"name\": null} | it is not made                   | ",
            "{\"is\": \"quay.Vessel\", \"kind\": 3}    | it stumbles                      | "})
    void excusesOnlyWhatEndsForWantOfIt(String vessel, String now, String part) throws Exception {
        Case recorded = of(vessel, "{\"gives\": \"null of 3 tons\"}");
        ObjectMapper mapper = new ObjectMapper();
        var outcome = now.equals("it stumbles") ? mapper.readTree(STUMBLES) : now.equals("it answers otherwise") ? mapper.readTree("{\"gives\": \"none\"}") : MissingNode.getInstance();
        String unmade = now.equals("it is not made") ? REFUSES : now.equals("it has no such constructor") ? "quay.Vessel has no constructor (Kind) any more" : "";
        assertThat(KIND.refused(Verdict.of(Verdict.Kind.DIFFERENT, recorded, outcome, ""), outcome, unmade).orElse(null)).isEqualTo(part);
    }

    @Test
    void nothingIsExcusedThatDiffersBeforeItStumbles() throws Exception {
        ObjectMapper mapper = new ObjectMapper();
        Case recorded = of("{\"is\": \"quay.Vessel\", \"kind\": null}", "{\"before\": [{\"gives\": 1}, {\"gives\": 2}], \"gives\": 3}");
        for (int differs : new int[] {0, 1}) {
            var now = mapper.readTree("{\"before\": [{\"gives\": 1}, " + STUMBLES + "], \"gives\": 4}");
            Verdict verdict = new Verdict(Verdict.Kind.DIFFERENT, recorded, now, List.of(new Verdict.Place("before." + differs + ".gives", "1", "5")), "", List.of(), List.of(), "");
            assertThat(KIND.refused(verdict, now, "").isPresent()).as("step %d differs", differs).isEqualTo(differs == 1);
        }
    }
}
