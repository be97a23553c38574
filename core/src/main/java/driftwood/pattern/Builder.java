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
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
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
                + (ladder.optional().size() == 1 ? " parts is" : " parts are") + " optional: a builder names them and leaves out the rest"));
    }

    @Override
    public Answer answer(Finding finding, Site site) {
        Ladder ladder = (Ladder) finding.detail();
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
        List<String> code = code(type, longest, required, optional);
        Edit edit = new Edit(type.file(), site.lines(type.file())).insertAtEnd(type.endLine(), code);
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
        Cost cost = new Cost(1, code.size() - 4 * (ladder.ladder().size() - 1),
                "one short-lived object for each creation");
        List<Evidence> after = List.of(new Evidence(type.file(), type.line(), type.line(), "the field, and its step in the builder"),
                new Evidence(longest.file(), longest.line(), longest.line(), "the parameter of the private constructor"));
        return new Answer(roles, steps, cost, after, edit.sketch());
    }

    private static List<String> code(TypeOutline type, RoutineOutline longest, List<ParameterOutline> required,
            List<ParameterOutline> optional) {
        String parts = String.join(", ", required.stream().map(each -> each.type().text() + " " + each.name()).toList());
        List<String> code = new ArrayList<>(List.of("/** Builds a " + type.simpleName() + ": required parts first, "
                + "optional ones by name. */", "static final class Builder {"));
        required.forEach(each -> code.add("    private final " + each.type().text() + " " + each.name() + ";"));
        optional.forEach(each -> code.add("    private " + each.type().text() + " " + each.name() + ";"));
        code.add("");
        code.add("    Builder(" + parts + ") {");
        required.forEach(each -> code.add("        this." + each.name() + " = " + each.name() + ";"));
        code.add("    }");
        for (ParameterOutline each : optional) {
            code.add("");
            code.add("    Builder " + each.name() + "(" + each.type().text() + " value) {");
            code.add("        this." + each.name() + " = value;");
            code.add("        return this;");
            code.add("    }");
        }
        code.add("");
        code.add("    " + type.simpleName() + " build() {");
        code.add("        return " + (longest.isConstructor() ? "new " + type.simpleName() : longest.name()) + "("
                + String.join(", ", longest.parameters().stream().map(ParameterOutline::name).toList()) + ");");
        code.add("    }");
        code.add("}");
        return code;
    }
}
