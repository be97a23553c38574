package driftwood.cli.render;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class JsonTest {
    record Berth(String name, int length, List<String> ships) {
    }

    @Test
    void plainValuesAreWrittenInTheOrderThatTheyWerePut() {
        Map<String, Object> quay = new LinkedHashMap<>();
        quay.put("name", "Kelp \"Quay\"\n");
        quay.put("berths", 4);
        quay.put("depth", 2.5);
        quay.put("open", true);
        quay.put("master", null);
        quay.put("ships", Arrays.asList("Gull", null, 7L));
        quay.put("none", List.of());
        assertThat(Json.of(quay)).isEqualTo("""
                {
                  "name" : "Kelp \\"Quay\\"\\n",
                  "berths" : 4,
                  "depth" : 2.5,
                  "open" : true,
                  "master" : null,
                  "ships" : [
                    "Gull",
                    null,
                    7
                  ],
                  "none" : [ ]
                }""");
    }

    @Test
    void objectsOfAnyClassAreWrittenWithWhatTheyHave() throws Exception {
        ObjectMapper mapper = new ObjectMapper();
        Map<String, Object> quay = new LinkedHashMap<>();
        quay.put("berths", List.of(new Berth("N1", 12, List.of("Gull")), new Berth("N2", 7, List.of())));
        quay.put("tree", mapper.readTree("{\"gives\":[1,{\"a\":null}]}"));
        quay.put("set", Set.of("one"));
        String text = Json.of(quay);
        assertThat(mapper.readTree(text)).isEqualTo(mapper.valueToTree(quay));
        assertThat(text).contains("{\n        \"name\"".replace("        ", "      "), "\"gives\" : [\n");
    }
}
