package driftwood.plan;

import static driftwood.plan.PlannedCode.BERTH;
import static driftwood.plan.PlannedCode.DUES;
import static driftwood.plan.PlannedCode.GATE;
import static driftwood.plan.PlannedCode.NUMBERED_GATE;
import static driftwood.plan.PlannedCode.OFFICE;
import static driftwood.plan.PlannedCode.ROSTER;
import static driftwood.plan.PlannedCode.TANKER;
import static driftwood.plan.PlannedCode.TUG;
import static driftwood.plan.PlannedCode.VESSELS;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.Given;
import driftwood.pattern.Answer.Role;
import driftwood.scan.Scan;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class PlannerTest {
    @TempDir
    Path root;

    private Finding finding;
    private Planner planner;

    private void given(String smell, String... sources) {
        Given.written(root, sources);
        Scan.Result result = new Scan(Scan.Options.DEFAULT.only(smell).on(1)).run(root, List.of(root));
        finding = result.findings().get(0);
        planner = new Planner(result.site());
    }

    static Stream<Arguments> answers() {
        return Stream.of(
                Arguments.of("type-switch", "strategy", new String[] {VESSELS, TUG, TANKER, DUES}, "Vessel.quote()"),
                Arguments.of("type-switch", "visitor", new String[] {VESSELS, TUG, TANKER, DUES}, "VesselVisitor"),
                Arguments.of("state-switch", "state", new String[] {GATE}, "OPEN"),
                Arguments.of("state-switch", "state", new String[] {NUMBERED_GATE}, "GateState"),
                Arguments.of("state-switch", "strategy", new String[] {GATE}, "OPEN"),
                Arguments.of("state-switch", "strategy", new String[] {NUMBERED_GATE}, "PushRule"),
                Arguments.of("state-switch", "registry", new String[] {GATE}, "PUSH_HANDLERS"),
                Arguments.of("telescoping-constructor", "builder", new String[] {BERTH}, "Berth.Builder"),
                Arguments.of("telescoping-constructor", "factory-method", new String[] {BERTH}, "Berth.withDepth()"),
                Arguments.of("null-check", "null-object", new String[] {ROSTER}, "NoPilot"),
                Arguments.of("null-check", "optional-value", new String[] {ROSTER}, "Roster#find"),
                Arguments.of("conditional-instantiation", "factory-method", new String[] {OFFICE}, "Office.createPermit()"),
                Arguments.of("conditional-instantiation", "factory", new String[] {OFFICE}, "PermitFactory"),
                Arguments.of("conditional-instantiation", "registry", new String[] {OFFICE}, "ISSUE_MAKERS"));
    }

    @ParameterizedTest(name = "{0} by {1}: {3}")
    @MethodSource("answers")
    void eachPatternAnswersWithRolesAndSteps(String smell, String pattern, String[] sources, String role) {
        given(smell, sources);
        Plan plan = planner.plan(finding, Optional.of(pattern));
        assertThat(plan.pattern()).isEqualTo(pattern);
        assertThat(plan.roles()).extracting(Role::name).anyMatch(name -> name.contains(role));
        assertThat(plan.steps()).hasSizeGreaterThanOrEqualTo(2);
        assertThat(plan.steps().get(0).does()).startsWith("Pin the behaviour down");
        assertThat(plan.drill().today()).isNotEmpty();
        assertThat(plan.drill().after()).isNotEqualTo(plan.drill().today());
        boolean carried = plan.stages() > 0 && plan.steps().stream().skip(1).noneMatch(step -> step.diff().isEmpty());
        assertThat(carried).as(plan.against()).isEqualTo(plan.against().isEmpty());
        assertThat(plan.candidates()).extracting(Candidate::pattern).contains(pattern, Candidate.LEAVE);
    }

    @Test
    void aBuilderTakesRequiredPartsFirst() {
        given("telescoping-constructor", BERTH);
        assertThat(planner.plan(finding, Optional.of("builder")).steps().get(1).diff()).contains("Builder(String name) {",
                "Builder depth(int depth) {", "return new Berth(this);");
    }

    @Test
    void theDrillCountsEveryPlaceOfToday() {
        given("state-switch", GATE);
        assertThat(planner.drill(finding).today()).extracting(Evidence::note)
                .containsExactly("the new constant of Position", "a branch for the new Position; forgotten, nothing is done", "a branch for the new Position; forgotten, it gets what all others get");
        assertThat(planner.drill(finding).change()).isEqualTo("one more Position");
    }

    @Test
    void littleDragIsBetterLeft() {
        given("null-check", ROSTER);
        assertThat(finding.drag().value()).isLessThan(2.5);
        List<Candidate> candidates = planner.candidates(finding);
        assertThat(candidates).isSortedAccordingTo((a, b) -> Double.compare(b.fit(), a.fit()));
        Candidate leave = candidates.stream().filter(each -> each.pattern().equals(Candidate.LEAVE)).findFirst().orElseThrow();
        assertThat(leave.fit()).isGreaterThan(0.5);
        assertThat(leave.because()).contains(finding.drag().reasons().get(0)).doesNotContain("it works");
    }

    @Test
    void aPatternThatDoesNotAnswerIsRefusedWithThoseThatDo() {
        given("telescoping-constructor", BERTH);
        assertThatThrownBy(() -> planner.plan(finding, Optional.of("visitor"))).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("'visitor' does not fit this telescoping-constructor")
                .hasMessageContaining("builder").hasMessageContaining("leave-it");
    }

    @Test
    void aPlanRemembersTheSourcesItWasMadeFrom() {
        given("type-switch", VESSELS, TUG, TANKER, DUES);
        Plan plan = planner.plan(finding, Optional.of("strategy"));
        assertThat(plan.sources()).containsKeys("quay/Dues.java", "quay/Vessel.java")
                .allSatisfy((file, hash) -> assertThat(hash).matches("[0-9a-f]{64}"));
        assertThat(plan.format()).isEqualTo("driftwood-plan/2");
    }
}
