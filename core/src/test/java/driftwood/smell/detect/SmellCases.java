package driftwood.smell.detect;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Finding;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/**
 * The table of a smell: sources that have it, by the sentence their finding must say, and sources that have not, by the
 * reason. Several types may stand in one source.
 */
abstract class SmellCases {

    /** Key of the smell. */
    abstract String smell();

    /** What the finding must say, to the source that has the smell. */
    abstract Map<String, String> smelly();

    /** Why it is none, to the source. */
    abstract Map<String, String> healthy();

    @TestFactory
    Stream<DynamicTest> reported() {
        return smelly().entrySet().stream().map(each -> DynamicTest.dynamicTest(each.getKey(), () -> {
            List<Finding> findings = Given.scan(smell(), each.getValue()).findings();
            assertThat(findings).as(each.getKey()).extracting(Finding::message).anySatisfy(message ->
                    assertThat(message).contains(each.getKey()));
            assertThat(findings).allSatisfy(finding -> {
                assertThat(finding.evidence()).isNotEmpty();
                assertThat(finding.drag().reasons()).isNotEmpty();
                assertThat(finding.line()).isBetween(1, finding.endLine());
            });
        }));
    }

    @TestFactory
    Stream<DynamicTest> leftAlone() {
        return healthy().entrySet().stream().map(each -> DynamicTest.dynamicTest(each.getKey(), () ->
                assertThat(Given.messages(smell(), each.getValue())).as(each.getKey()).isEmpty()));
    }
}
