package driftwood.behaviour.search;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.Given;
import driftwood.behaviour.input.NearValues;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import driftwood.behaviour.replay.Assembly;
import driftwood.behaviour.replay.Scripts;
import driftwood.behaviour.slip.TrialResults.Pair;
import driftwood.behaviour.view.Queries;
import driftwood.behaviour.view.Surface;
import driftwood.program.Program;
import driftwood.scan.Scan;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SequencesTest {
    private static final String BASIN = """
            package quay;
            import java.util.ArrayList;
            import java.util.List;
            public class Basin {
                private final List<Gauge> gauges = new ArrayList<>();
                public void install(Gauge gauge) { gauges.add(gauge); }
                public int total(int least) { return gauges.size() + least; }
            }
            """;
    private static final String GAUGE = """
            package quay;
            public class Gauge {
                private int level;
                public void rise(int by) { level += by; }
            }
            """;
    private static final Case TOTAL = Case.fresh("quay.Basin#total(int)", json("{'is':'quay.Basin'}"),
            List.of(Step.call("install", json("{'gauge':{'is':'quay.Gauge'}}"))), json("{'least':4}"));

    @TempDir
    Path root;

    private Program program;
    private Surface surface;

    @BeforeEach
    void link() throws Exception {
        Given.written(root.resolve("src"), BASIN, GAUGE);
        program = new Scan(Scan.Options.DEFAULT).run(root, List.of(root.resolve("src"))).program();
        surface = Surface.of(program.type("quay.Basin").orElseThrow(), program);
    }

    private static ObjectNode json(String text) {
        try {
            return (ObjectNode) new ObjectMapper().readTree(text.replace('\'', '"'));
        } catch (java.io.IOException e) {
            throw new IllegalArgumentException(e);
        }
    }

    private List<Case> near(Case from, int tries, long seed, Literal... known) {
        Random random = new Random(seed);
        Cases maker = new Cases(program, root, surface);
        List<Case> drawn = new ArrayList<>();
        surface.targets().forEach(target -> drawn.addAll(maker.of(target, 6, new ArrayList<>())));
        Vocabulary words = maker.vocabulary();
        words.learn(surface, drawn, Queries.NONE);
        Sequences sequences = new Sequences(program, words, new NearValues(List.of(known), random), random);
        List<Case> found = new ArrayList<>();
        for (int i = 0; i < tries; i++) {
            sequences.near(from, false).ifPresent(found::add);
        }
        return found;
    }

    @Test
    void eachDiffersFromTheCaseAndNoneIsTooLong() {
        assertThat(near(TOTAL, 300, 7)).hasSizeGreaterThan(150).doesNotContain(TOTAL)
                .allSatisfy(each -> assertThat(each.steps()).hasSizeLessThanOrEqualTo(6));
    }

    @Test
    void theSameSeedGivesTheSame() {
        assertThat(near(TOTAL, 50, 3)).isEqualTo(near(TOTAL, 50, 3));
    }

    @Test
    void whatWasHandedInIsCalledHandedInAgainAndGrown() {
        List<Case> near = near(TOTAL, 400, 7);
        assertThat(near).anyMatch(each -> each.steps().stream().anyMatch(step -> "1.gauge".equals(step.of()) && step.call().equals("rise")))
                .anyMatch(each -> each.steps().toString().contains("\"same\":\"1.gauge\""))
                .anyMatch(each -> each.steps().toString().contains("\"then\""));
    }

    @Test
    void aSecondObjectStandsBesideTheFirst() {
        assertThat(near(TOTAL, 400, 7)).anyMatch(each -> !each.steps().isEmpty() && each.steps().get(0).make() != null
                && each.steps().stream().anyMatch(step -> "1".equals(step.of())));
    }

    @Test
    void everyNameStandsForSomethingThatIsThere() {
        Set<String> broken = new HashSet<>();
        Scripts scripts = new Scripts(program);
        for (Case each : near(TOTAL, 400, 11)) {
            for (Case further : near(each, 3, 5)) {
                try {
                    scripts.of(further);
                } catch (Assembly.CannotMake e) {
                    broken.add(e.getMessage() + further);
                }
            }
        }
        assertThat(broken).isEmpty();
    }

    @Test
    void constantsOfTheCodeAreTriedAndSumsWithThem() {
        List<Case> near = near(TOTAL, 600, 7, new Literal(0, 0, LiteralKind.INTEGER, "7_200"));
        assertThat(near).extracting(each -> String.valueOf(each.given())).anyMatch(text -> text.contains("7200") || text.contains("7199"))
                .anyMatch(text -> text.matches(".*\\b72\\d\\d\\b.*"));
    }

    @Test
    void whatWasComparedMeets() {
        Meeting meeting = new Meeting(new Random(1));
        Set<Integer> tried = new HashSet<>();
        for (int i = 0; i < 40; i++) {
            Optional<Case> other = meeting.of(TOTAL, new Pair("quay.Basin:7", "4", "85", true));
            other.ifPresent(each -> tried.add(each.given().get("least").asInt()));
        }
        assertThat(tried).contains(84, 85, 86);
        Case named = Case.fresh("quay.Desk#of(String)", null, List.of(), json("{'plan':'spot+none'}"));
        assertThat(meeting.of(named, new Pair("x:1", "none", "flood", false)).orElseThrow().given().get("plan").asText())
                .isEqualTo("spot+flood");
        assertThat(meeting.of(named, new Pair("x:1", "1", "2", true))).isEmpty();
    }

    @Test
    void aStepInsertedOrTakenOutMovesTheNamesOfWhatComesLater() {
        Sequence one = new Sequence(null, List.of(Step.call("a", json("{'x':{'is':'T'}}")), new Step("b", "1.x", null, null),
                Step.call("c", json("{'y':{'same':'1.x'}}"))), "T#c(T)");
        Sequence longer = one.inserted(0, Step.call("z", null));
        assertThat(longer.steps().get(2).of()).isEqualTo("2.x");
        assertThat(longer.steps().get(3).given()).hasToString("{\"y\":{\"same\":\"2.x\"}}");
        assertThat(longer.without(0)).isEqualTo(one);
        assertThat(one.without(0)).isEqualTo(one);
    }
}
