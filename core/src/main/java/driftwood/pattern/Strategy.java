package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Answer.Role;
import driftwood.pattern.Answer.Step;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Label;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.source.Language;
import driftwood.source.Language.Habit;
import driftwood.tree.Mark;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * strategy: each variant answers for itself. Where the variants are types of the project, the behaviour moves onto them;
 * where they are tags, each gets a strategy object.
 */
final class Strategy implements Computed {

    @Override
    public String key() {
        return "strategy";
    }

    @Override
    public Optional<Fit> fit(Finding finding, Program program) {
        if (!(finding.detail() instanceof Branching branching)) {
            return Optional.empty();
        }
        boolean movable = branching.onTypes() && program.type(branching.common()).isPresent();
        double score = 0.5 + 0.06 * Math.min(4, branching.siblings().size()) + (movable ? 0.14 : isOfObjects(finding, branching, program) ? -0.04 : 0.04);
        String because = movable
                ? "the variants are types of this project and share " + Words.simple(branching.common())
                        + ": each can answer for itself"
                : Constants.of(branching, program).map(each -> "each constant of " + each.simpleName() + " can answer for itself")
                        .orElse("each of the " + branching.variants().size() + " tags can have " + (isOfFunctions(finding, branching) ? "a function" : "an object") + " of its own");
        return Optional.of(new Fit(key(), score, because));
    }

    @Override
    public Answer answer(Finding finding, Site site) {
        Branching branching = (Branching) finding.detail();
        Optional<TypeOutline> common = site.type(branching.common()).filter(type -> branching.onTypes());
        if (common.isPresent()) {
            return onVariants(finding, branching, common.get(), site);
        }
        return Constants.of(branching, site.program()).map(each -> new Constants(finding, branching, each, site)
                .answer("strategy", List.of(Branches.routineFor(branching.chain())))).orElseGet(() -> asObjects(finding, branching, site));
    }

    private Answer onVariants(Finding finding, Branching branching, TypeOutline common, Site site) {
        Chain chain = branching.chain();
        String routine = Branches.routineFor(chain);
        List<Role> roles = new ArrayList<>(List.of(new Role("context", Words.simple(chain.within()), true),
                new Role("strategy", common.simpleName() + "." + routine + "()", false)));
        List<Evidence> variantPlaces = new ArrayList<>();
        for (Chain.Arm arm : chain.arms()) {
            for (TypeOutline variant : Branches.types(arm, chain, site)) {
                roles.add(new Role("concrete strategy", variant.simpleName(), true));
                variantPlaces.add(new Evidence(variant.file(), variant.line(), variant.line(), variant.simpleName()));
            }
        }
        List<Step> steps = List.of(
                new Step("Declare " + routine + "() on " + common.simpleName() + ": abstract, or throwing until each "
                        + "variant has its own, so that everything still works.",
                        List.of(new Evidence(common.file(), common.line(), common.endLine(), common.simpleName())),
                        Check.LANGUAGE),
                new Step("Move each arm's body onto its variant, one variant at a time. What it uses of "
                        + Words.simple(chain.within()) + " (fields, constants) is handed over as parameters.", variantPlaces, Check.LANGUAGE_EACH),
                new Step("Replace the chain by one call. Keep what the default does as the body on "
                        + common.simpleName() + " if variants were left out.",
                        List.of(new Evidence(finding.file(), chain.line(), chain.endLine(), "the chain")),
                        Check.CONFIRM),
                Branches.siblingsStep(branching));
        long files = variantPlaces.stream().map(Evidence::file).distinct().count();
        Cost cost = new Cost(0, Branches.lines(chain), "one virtual call; the cases are read "
                + (files > 1 ? "in " + files + " files instead of one" : "on their types"));
        List<Evidence> after = List.of(site.kind(common, "the new " + common.simpleName()
                + ", with " + Branches.calls(List.of(routine), branching)
                + Branches.reminded(chain, asksAll(chain, common, site), site.idiom(common))));
        return new Answer(roles, steps, cost, after);
    }

    /** Whether each direct kind of the common type has an arm of its own. */
    private static boolean asksAll(Chain chain, TypeOutline common, Site site) {
        List<TypeOutline> told = chain.arms().stream().flatMap(arm -> Branches.types(arm, chain, site).stream()).toList();
        return !isFunction(common, site) && site.program().children(common).stream().allMatch(each -> told.contains(each)
                || each.traits().has(Mark.ABSTRACT) && told.containsAll(site.program().children(each)));
    }

    /** Whether a lambda may stand for it, which cannot be asked for a second routine. */
    private static boolean isFunction(TypeOutline common, Site site) {
        return common.isInterface() && !common.traits().has(Mark.SEALED) && site.program().fileOf(common).language().has(Habit.LAMBDAS_FULFIL) && site.program().ancestors(common).isEmpty()
                && common.routines().stream().filter(RoutineOutline::isOnlyDeclared).count() == 1;
    }

    /** One decision alone, where a function needs no object around it. */
    private static boolean isOfFunctions(Finding finding, Branching branching) {
        return branching.siblings().isEmpty() && !branching.onTypes()
                && Language.ofKey(finding.language()).filter(each -> each.has(Habit.FUNCTIONS_ALONE)).isPresent();
    }

    /** Classes of their own for values that are no types and no constants: a table of functions comes to the same with less. */
    private static boolean isOfObjects(Finding finding, Branching branching, Program program) {
        return branching.siblings().isEmpty() && Constants.of(branching, program).isEmpty() && !isOfFunctions(finding, branching);
    }

    private Answer asFunctions(Finding finding, Branching branching, Site site) {
        Chain chain = branching.chain();
        List<Role> roles = new ArrayList<>(List.of(new Role("context", Words.simple(chain.within()), true), new Role("strategy", Handlers.table(chain), false)));
        chain.arms().forEach(arm -> roles.add(new Role("concrete strategy", Handlers.function(chain, arm.labels().stream().map(Label::text).toList()) + "()", false)));
        List<Evidence> here = List.of(new Evidence(finding.file(), chain.line(), chain.endLine(), "the chain"));
        List<Step> steps = List.of(
                new Step("Give each arm's body a function of its own.", chain.arms().stream().map(arm -> new Evidence(finding.file(), arm.line(), arm.endLine(),
                        "arm for " + arm.title())).toList(), Check.LANGUAGE_EACH),
                new Step("Put the functions into the table " + Handlers.table(chain) + ", by what they are for.", here, Check.LANGUAGE),
                new Step("Replace the chain by looking the function up and calling it.", here, Check.CONFIRM));
        List<Evidence> after = new ArrayList<>(site.newVariant(branching));
        after.add(new Evidence(finding.file(), chain.line(), chain.line(), "one function, and its entry in the table"));
        return new Answer(roles, steps, new Cost(0, 4, "the function is found through a table"), after);
    }

    private Answer asObjects(Finding finding, Branching branching, Site site) {
        if (isOfFunctions(finding, branching)) {
            return asFunctions(finding, branching, site);
        }
        Chain chain = branching.chain();
        String routine = Branches.routineFor(chain);
        String strategy = Handlers.rule(routine);
        TypeOutline context = site.type(chain.within()).orElseThrow();
        List<Role> roles = new ArrayList<>(List.of(new Role("context", Words.simple(chain.within()), true),
                new Role("strategy", strategy, false)));
        for (Chain.Arm arm : chain.arms()) {
            String name = Words.ofLabel(arm.labels().get(0).text()) + Words.upper(routine);
            roles.add(new Role("concrete strategy", name, false));
        }
        Optional<TypeOutline> owner = site.type(branching.common());
        List<Step> steps = List.of(
                new Step("Add the " + site.idiom(context).contract() + " " + strategy + " with " + routine + "(), beside the old code.",
                        List.of(site.planned(context, strategy, "the " + site.idiom(context).contract())), Check.LANGUAGE),
                new Step("Give each arm's body an object of its own, one at a time.",
                        chain.arms().stream().map(arm -> new Evidence(finding.file(), arm.line(), arm.endLine(),
                                "arm for " + arm.title())).toList(), Check.LANGUAGE_EACH),
                new Step("Choose the object in one place" + owner.map(type -> ", best on "
                        + type.simpleName() + " itself").orElse("") + ", with a clear error for unknown tags.",
                        owner.map(type -> List.of(new Evidence(type.file(), type.line(), type.line(),
                                type.simpleName()))).orElse(List.of()), Check.LANGUAGE),
                new Step("Replace the chain by one call.",
                        List.of(new Evidence(finding.file(), chain.line(), chain.endLine(), "the chain")),
                        Check.CONFIRM),
                Branches.siblingsStep(branching));
        Cost cost = new Cost(1 + chain.arms().size(), Branches.lines(chain) + 2 * chain.arms().size(),
                "one object and one call between the client and the case");
        List<Evidence> after = new ArrayList<>(site.newVariant(branching));
        after.add(new Evidence(finding.file(), finding.line(), finding.endLine(), "where its object is chosen"));
        after.add(new Evidence(context.file(), context.line(), context.line(), "one more class: its " + strategy));
        return new Answer(roles, steps, cost, after);
    }
}
