package driftwood.smell.detect;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Finding;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What has one cause is told once, and what is the cure of a smell is not told as that smell. */
class ToldOnceTest {
    private static final String HANDLERS = """
            class Clerk { String sign(String what, int sum) { return what + sum; } }
            class Master { String approve(String what, int sum) { return sum + what; } }
            class Board { String decide(String what, int sum) { return what; } }
            """;
    private static final String PAYMENTS = """
            class Payments {
                private final Clerk clerk = new Clerk();
                private final Master master = new Master();
                private final Board board = new Board();
                String pay(String what, int sum) {
                    if (sum <= 100) {
                        return clerk.sign(what, sum);
                    } else if (sum <= 5000) {
                        return master.approve(what, sum);
                    } else if (sum <= 90000) {
                        return board.decide(what, sum);
                    }
                    return "refused";
                }
            }
            """;
    private static final String NOTICE = """
            class Notice {
                private String title; private String text; private String foot;
                String told() { return title.trim() + text.trim() + foot.trim(); }
                static Maker maker() { return new Maker(); }
                static final class Maker {
                    private String title = ""; private String text = ""; private String foot = "";
                    Maker title(String value) { title = value; return this; }
                    Maker text(String value) { text = value; return this; }
                    Maker foot(String value) { foot = value; return this; }
                    Notice make() {
                        Notice made = new Notice();
                        made.title = title;
                        made.text = text;
                        made.foot = foot;
                        return made;
                    }
                }
            }
            """;

    static Stream<Arguments> projects() {
        return Stream.of(
                Arguments.of("a ladder is no mismatch as well", List.of(HANDLERS, PAYMENTS), List.of("threshold-ladder")),
                Arguments.of("a builder within a type leaves nothing half built", List.of(NOTICE), List.of()));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("projects")
    void once(String what, List<String> sources, List<String> smells) {
        assertThat(Given.scan("", sources.toArray(String[]::new)).findings()).as(what).extracting(Finding::smell).containsExactlyElementsOf(smells);
    }
}
