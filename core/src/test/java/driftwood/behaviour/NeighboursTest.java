package driftwood.behaviour;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.Recording.Case;
import driftwood.behaviour.Recording.Step;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import java.util.List;
import org.junit.jupiter.api.Test;

class NeighboursTest {
    private static final Case BERTH = new Case("c1", "quay.Berth#fits(int)", json("{'is':'quay.Berth','by':'of','length':30}"),
            List.of(new Step("moor", json("{'name':'Tern'}"))), json("{'depth':4,'tidal':true}"), null, List.of(), List.of());

    private static ObjectNode json(String text) {
        try {
            return (ObjectNode) new ObjectMapper().readTree(text.replace('\'', '"'));
        } catch (java.io.IOException e) {
            throw new IllegalArgumentException(e);
        }
    }

    private static String whole(Case each) {
        return each.on() + " " + each.before() + " " + each.given();
    }

    @Test
    void eachDiffersFromTheCaseAndFromTheOthers() {
        List<Case> near = new Neighbours(List.of(), 7).of(BERTH, 30);
        assertThat(near).hasSizeGreaterThan(15).extracting(NeighboursTest::whole).doesNotHaveDuplicates()
                .doesNotContain(whole(BERTH));
    }

    @Test
    void onlyOneValueChangesAndNeverWhatAValueIs() {
        for (Case each : new Neighbours(List.of(), 7).of(BERTH, 30)) {
            assertThat(each.on().get("is").asText()).isEqualTo("quay.Berth");
            assertThat(each.on().get("by").asText()).isEqualTo("of");
            assertThat(each.before().get(0).call()).isEqualTo("moor");
            int changed = (each.on().equals(BERTH.on()) ? 0 : 1) + (each.before().equals(BERTH.before()) ? 0 : 1)
                    + (each.given().get("depth").equals(BERTH.given().get("depth")) ? 0 : 1)
                    + (each.given().get("tidal").equals(BERTH.given().get("tidal")) ? 0 : 1);
            assertThat(changed).isEqualTo(1);
        }
    }

    @Test
    void theSameSeedGivesTheSame() {
        assertThat(new Neighbours(List.of(), 3).of(BERTH, 12)).isEqualTo(new Neighbours(List.of(), 3).of(BERTH, 12));
    }

    @Test
    void constantsOfTheCodeAreTried() {
        List<Literal> known = List.of(new Literal(0, 0, LiteralKind.STRING, "Heron"),
                new Literal(0, 0, LiteralKind.INTEGER, "7_200"));
        List<Case> near = new Neighbours(known, 7).of(BERTH, 200);
        assertThat(near).extracting(NeighboursTest::whole).anyMatch(text -> text.contains("Heron"))
                .anyMatch(text -> text.contains("7200") || text.contains("7199") || text.contains("7201"));
    }

    @Test
    void aCharacterStaysOne() {
        Case letter = new Case("c1", "quay.Code#of(char)", null, List.of(), json("{'c':'x'}"), null, List.of(), List.of());
        assertThat(new Neighbours(List.of(), 7).of(letter, 20)).isNotEmpty()
                .allSatisfy(each -> assertThat(each.given().get("c").asText()).hasSize(1));
    }

    @Test
    void aCaseWithoutValuesHasNone() {
        Case bare = new Case("c1", "quay.Gate#shut()", null, List.of(), null, null, List.of(), List.of());
        assertThat(new Neighbours(List.of(), 7).of(bare, 5)).isEmpty();
    }
}
