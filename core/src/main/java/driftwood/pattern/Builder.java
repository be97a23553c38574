package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Answer.Role;
import driftwood.pattern.Answer.Step;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Ladder;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.source.Language;
import driftwood.source.Language.Habit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** builder: required parts first, optional parts by name, one step that builds and checks. */
final class Builder implements Computed {

    @Override
    public String key() {
        return "builder";
    }

    @Override
    public Optional<Fit> fit(Finding finding, Program program) {
        if (!(finding.detail() instanceof Ladder ladder)) {
            return Optional.empty();
        }
        int parts = ladder.ladder().get(ladder.ladder().size() - 1).parameters().size();
        double score = 0.4 + 0.05 * Math.min(6, ladder.optional().size()) + 0.03 * Math.min(6, Math.max(0, parts - 2));
        return Optional.of(new Fit(key(), score, ladder.optional().size() + " of " + parts
                + (ladder.optional().size() == 1 ? " parts is" : " parts are") + " optional: "
                + (isByName(finding) ? "callers can name them, and leave out the rest" : "a builder names them and leaves out the rest")));
    }

    /** Where callers can be made to name what they pass, no object is needed for it. */
    private static boolean isByName(Finding finding) {
        return Language.ofKey(finding.language()).filter(each -> each.has(Habit.NAMED_ONLY)).isPresent();
    }

    private static Answer byName(Finding finding, Ladder ladder) {
        RoutineOutline longest = ladder.ladder().get(ladder.ladder().size() - 1);
        List<Role> roles = new ArrayList<>(List.of(new Role("product", Words.simple(ladder.type()), true)));
        longest.parameters().stream().map(ParameterOutline::name)
                .forEach(each -> roles.add(new Role(ladder.optional().contains(each) ? "optional part" : "required part", each, true)));
        Evidence here = new Evidence(longest.file(), longest.line(), longest.line(), longest.signature());
        List<Step> steps = List.of(
                new Step("Let each caller name the optional parts that it passes, and leave out those that are as they would be anyway.",
                        ladder.callers().stream().map(each -> each.place().evidence()).toList(), Check.CONFIRM_EACH),
                new Step("Give every optional part a default, and take it by name only: a bare * before the first of them.", List.of(here), Check.CONFIRM));
        return new Answer(roles, steps, new Cost(0, 0, "none"), List.of(new Evidence(longest.file(), longest.line(), longest.line(),
                "one more parameter behind the star: callers who do not want it stay")));
    }

    @Override
    public Answer answer(Finding finding, Site site) {
        Ladder ladder = (Ladder) finding.detail();
        if (isByName(finding)) {
            return byName(finding, ladder);
        }
        TypeOutline type = site.type(ladder.type()).orElseThrow();
        RoutineOutline longest = ladder.ladder().get(ladder.ladder().size() - 1);
        List<ParameterOutline> required = longest.parameters().stream()
                .filter(each -> !ladder.optional().contains(each.name())).toList();
        List<ParameterOutline> optional = longest.parameters().stream()
                .filter(each -> ladder.optional().contains(each.name())).toList();
        List<Role> roles = new ArrayList<>(List.of(new Role("product", type.simpleName(), true),
                new Role("builder", type.simpleName() + ".Builder", false)));
        required.forEach(each -> roles.add(new Role("required part", each.name(), true)));
        optional.forEach(each -> roles.add(new Role("optional part", each.name(), true)));
        roles.add(new Role("build step", "build()", false));
        List<Evidence> callers = ladder.callers().stream().map(each -> each.place().evidence()).toList();
        List<Step> steps = List.of(
                new Step("Add the builder inside " + type.simpleName() + ", calling the longest constructor. Take the "
                        + "defaults from the fillers in the ladder.",
                        List.of(new Evidence(longest.file(), longest.line(), longest.endLine(), longest.signature())),
                        Check.LANGUAGE),
                new Step("Redirect the callers to the builder, one at a time.", callers, Check.CONFIRM_EACH),
                new Step("Remove the shorter constructors once nothing calls them; make the longest private.",
                        List.of(new Evidence(finding.file(), finding.line(), finding.endLine(), "the ladder")),
                        Check.CONFIRM));
        Cost cost = new Cost(1, 8 + 3 * required.size() + 6 * optional.size() - 4 * (ladder.ladder().size() - 1),
                "one short-lived object for each creation");
        List<Evidence> after = List.of(new Evidence(type.file(), type.line(), type.line(), "the field"),
                new Evidence(type.file(), type.endLine(), type.endLine(), "its step in the builder: callers who do not want it stay"),
                new Evidence(longest.file(), longest.line(), longest.line(), "the line of the private constructor that takes it"));
        return new Answer(roles, steps, cost, after);
    }
}
