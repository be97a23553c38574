package driftwood.behaviour.recording;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.behaviour.view.Queries;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a client can tell, row by row: recorded, now, whether that is the same, and what is noted. */
class ClientViewTest {
    private static final Recording RECORDING = new Recording(Recording.FORMAT, "quay.Desk", List.of("quay.Desk"), List.of(), null, null,
            null, Map.of(), List.of("quay.Desk", "quay.Gauge", "quay.Tug"), Map.of("quay.Part", List.of("name")), null, null, List.of());
    /** Queries that are there now. */
    private static final Set<String> NOW = Set.of("quay.Desk size", "quay.Gauge level", "quay.Tug name", "quay.Adapter level");

    private static JsonNode json(String text) throws JsonProcessingException {
        return new ObjectMapper().configure(JsonParser.Feature.ALLOW_SINGLE_QUOTES, true).readTree(text);
    }

    @ParameterizedTest(name = "{0} against {1}")
    @CsvSource(delimiter = '|', nullValues = "-", value = {
        // a new class that answers the same is built differently
        "{'gives':{'is':'quay.Gauge','level':4}}|{'gives':{'is':'quay.Adapter','level':4}}|true|Adapter for Gauge",
        "{'gives':{'is':'quay.Gauge','level':4}}|{'gives':{'is':'quay.Adapter','level':5}}|false|Adapter for Gauge",
        "{'gives':[{'is':'quay.Gauge','level':4}]}|{'gives':[{'is':'quay.Adapter','level':4}]}|true|Adapter for Gauge",
        // both were there before: that is another object
        "{'gives':{'is':'quay.Gauge'}}|{'gives':{'is':'quay.Tug'}}|false|-",
        // an object in place of nothing shows
        "{'gives':null}|{'gives':{'is':'quay.NoGauge','level':0}}|false|-",
        // what is no longer asked is none, unless its type was to be kept
        "{'gives':{'is':'quay.Gauge','level':4,'unit':'m'}}|{'gives':{'is':'quay.Gauge','level':4}}|true|Gauge.unit",
        "{'gives':{'is':'quay.Desk','size':4,'name':'m'}}|{'gives':{'is':'quay.Desk','size':4}}|false|-",
        // what changed and does not any more
        "{'gives':1,'leaves':{'1.it':{'is':'quay.Gauge','level':4}}}|{'gives':1}|false|-",
        "{'gives':1,'leaves':{'1.it':{'is':'quay.Gauge','unit':4}}}|{'gives':1}|true|Gauge.unit",
        "{'gives':1,'leaves':{'this':{'is':'quay.Desk','name':4}}}|{'gives':1}|false|-",
        // what changes and did not
        "{'gives':1}|{'gives':1,'leaves':{'1.it':{'is':'quay.Gauge','level':4}}}|false|-",
        "{'gives':1,'leaves':{'1.it':{'is':'quay.Gauge','level':4}}}|{'gives':1,'leaves':{'1.it':{'is':'quay.Gauge','level':4,'unit':1}}}|false|-",
        // on the way
        "{'gives':1,'before':[{'gives':{'is':'quay.Gauge','level':4}}]}|{'gives':1,'before':[{'gives':{'is':'quay.Adapter','level':4}}]}|true|Adapter for Gauge",
        // errors are told by their class
        "{'throws':{'is':'quay.Gauge','message':'x'}}|{'throws':{'is':'quay.Adapter','message':'x'}}|false|-",
        // a stand-in is asked for what its interface has only since then, or for what it always had
        "{'gives':1}|{'gives':1,'asks':['Part.weigh(2)']}|true|-",
        "{'gives':1,'asks':['Part.name()']}|{'gives':1,'asks':['Part.name()',{'call':'Part.weigh','given':[[2]]}]}|true|-",
        "{'gives':1}|{'gives':2,'asks':['Part.weigh(2)']}|false|-",
        "{'gives':1}|{'gives':1,'asks':['Part.name()']}|false|-",
        "{'gives':1}|{'gives':1,'asks':['Listener.heard()']}|false|-",
        // the interpreter's own words name what was asked first: of one type, in an error of one type, that says nothing more
        """
        {'gives':{'is':'quay.Desk','size':{'throws':{'is':'AttributeError','message':"'int' object has no attribute 'grams'"}}}}\
        |{'gives':{'is':'quay.Desk','size':{'throws':{'is':'AttributeError','message':"'int' object has no attribute 'weight'"}}}}|true|-""",
        """
        {'throws':{'is':'AttributeError','message':"'int' object has no attribute 'grams'"}}|{'throws':{'is':'AttributeError','message':"'str' object has no attribute 'grams'"}}|false|-""",
        """
        {'throws':{'is':'AttributeError','message':"'int' object has no attribute 'grams'"}}|{'throws':{'is':'TypeError','message':"'int' object has no attribute 'grams'"}}|false|-""",
        """
        {'throws':{'is':'AttributeError','message':"'int' object has no attribute 'grams'"}}|{'throws':{'is':'AttributeError','message':'no grams'}}|false|-""",
        """
        {'throws':{'is':'AttributeError','message':"'int' object has no attribute 'grams'"}}|{'gives':1}|false|-""",
        // how far a call had come when it stumbled over nothing is chance; that it stumbles is not, nor is any other error
        "{'throws':{'is':'java.lang.NullPointerException'},'leaves':{'1.out':'12'},'prints':['a']}|{'throws':{'is':'java.lang.NullPointerException'}}|true|-",
        "{'throws':{'is':'java.lang.NullPointerException'}}|{'throws':{'is':'java.lang.NullPointerException'},'leaves':{'1.out':'12'}}|true|-",
        "{'throws':{'is':'java.lang.NullPointerException'},'leaves':{'1.out':'12'}}|{'gives':1}|false|-",
        "{'throws':{'is':'quay.Late'},'leaves':{'1.out':'12'}}|{'throws':{'is':'quay.Late'}}|false|-",
        // what was asked of nothing first is named by the interpreter alone; what the code says itself counts
        "{'throws':{'is':'AttributeError','message':\"'NoneType' object has no attribute 'name'\"}}|{'throws':{'is':'AttributeError','message':\"'NoneType' object has no attribute 'feed'\"}}|true|-",
        "{'throws':{'is':'AttributeError','message':\"'NoneType' object has no attribute 'name'\"}}|{'throws':{'is':'TypeError','message':\"'NoneType' object has no attribute 'name'\"}}|false|-",
        "{'throws':{'is':'ValueError','message':\"'NoneType' object has no attribute\"}}|{'throws':{'is':'ValueError','message':\"'NoneType' object is not taken\"}}|false|-",
        "{'before':[{'throws':{'is':'java.lang.NullPointerException'},'leaves':{'1.out':'12'}}],'gives':1}|{'before':[{'throws':{'is':'java.lang.NullPointerException'}}],'gives':2}|true|-",
        "{'before':[{'throws':{'is':'java.lang.NullPointerException'}}],'gives':1}|{'before':[{'throws':{'is':'java.lang.NullPointerException'}}],'gives':2}|false|-",
        "{'before':[{'gives':3},{'throws':{'is':'java.lang.NullPointerException'},'leaves':{'1.out':'12'}}],'gives':1}|{'before':[{'gives':4},{'throws':{'is':'java.lang.NullPointerException'}}],'gives':1}|false|-",
        // how it started counts where it was told
        "{'gives':1}|{'gives':1,'starts':{'is':'quay.Desk','size':0}}|true|-",
        "{'starts':{'is':'quay.Desk','size':1},'gives':1}|{'starts':{'is':'quay.Desk','size':0},'gives':1}|false|-"})
    void aClientCanTell(String recorded, String now, boolean same, String noted) throws JsonProcessingException {
        ClientView view = new ClientView(RECORDING, (type, query) -> NOW.contains(type + " " + query));
        JsonNode seen = view.seen(json(recorded), json(now));
        assertThat(Comparison.differences(json(recorded), seen, List.of()).isEmpty()).isEqualTo(same);
        assertThat(view.built().isEmpty() ? view.unasked() : view.built()).isEqualTo(noted == null ? List.of() : List.of(noted));
    }
}
