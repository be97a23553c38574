package driftwood.behaviour.recording;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ComparisonTest {

    private static JsonNode json(String text) throws JsonProcessingException {
        return new ObjectMapper().readTree(text.replace('\'', '"'));
    }

    @ParameterizedTest(name = "{0} against {1}: {2}")
    @CsvSource(delimiter = '|', value = {
        "{'gives':1}|{'gives':1}|", "{'gives':1}|{'gives':2}|/gives", "{'gives':{'a':1,'b':2}}|{'gives':{'a':1,'b':3}}|/gives/b",
        "{'gives':[1,2]}|{'gives':[1,2,3]}|/gives", "{'gives':[1,2]}|{'gives':[1,3]}|/gives/1",
        "{'gives':1}|{'throws':{'is':'E'}}|/gives;/throws", "{'a/b':1}|{'a/b':2}|/a~1b"})
    void differencesAreToldByTheirPlace(String expected, String actual, String places) throws JsonProcessingException {
        assertThat(String.join(";", Comparison.differences(json(expected), json(actual), List.of()).stream()
                .map(Comparison.Difference::path).toList())).isEqualTo(places == null ? "" : places);
    }

    @Test
    void maskedPlacesAreNotCompared() throws JsonProcessingException {
        assertThat(Comparison.differences(json("{'gives':{'at':1,'n':2}}"), json("{'gives':{'at':9,'n':2}}"),
                List.of("/gives/at"))).isEmpty();
    }

    @Test
    void theSameContentInAnotherOrderIsReordered() throws JsonProcessingException {
        assertThat(Comparison.isReordered(json("{'gives':[{'a':[1,2]},3]}"), json("{'gives':[3,{'a':[2,1]}]}"), List.of())).isTrue();
        assertThat(Comparison.isReordered(json("{'gives':[1,1,2]}"), json("{'gives':[1,2,2]}"), List.of())).isFalse();
    }

    @Test
    void listsWhoseOrderVariesAreSortedBeforeComparing() throws JsonProcessingException {
        assertThat(Comparison.sortedAt(json("{'gives':[3,1],'prints':[2,1]}"), List.of("/gives")))
                .isEqualTo(json("{'gives':[1,3],'prints':[2,1]}"));
    }
}
