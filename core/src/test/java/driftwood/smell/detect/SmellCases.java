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
public abstract class SmellCases {

    /** Key of the smell. */
    protected abstract String smell();

    /** What the finding must say, to the source that has the smell. */
    protected abstract Map<String, String> smelly();

    /** Why it is none, to the source. */
    protected abstract Map<String, String> healthy();

    @TestFactory
    public Stream<DynamicTest> reported() {
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
    public Stream<DynamicTest> leftAlone() {
        return healthy().entrySet().stream().map(each -> DynamicTest.dynamicTest(each.getKey(), () ->
                assertThat(Given.messages(smell(), each.getValue())).as(each.getKey()).isEmpty()));
    }
}
