package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Answer.Role;
import driftwood.pattern.Answer.Step;
import driftwood.program.Program;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Nothing;
import driftwood.smell.Detail.Reaction;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.source.Language;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** null-object: "nothing" becomes an object that answers every operation neutrally. */
final class NullObject implements Computed {
    private static final Set<String> COLLECTIONS = Set.of("List", "Set", "Map", "Collection", "Iterable", "String", "string",
            "Stream", "Iterator");

    /** What it loses where nothing is an error to some callers. */
    private static final double FAILING = 0.25;

    @Override
    public String key() {
        return "null-object";
    }

    /** Whether what may be nothing holds any number of others, none as well: an empty one says so by itself. @param type as it is declared */
    static boolean isContainer(String type) {
        String simple = new TypeRef(type).simpleName();
        return type.endsWith("[]") || COLLECTIONS.contains(simple) && !simple.equalsIgnoreCase("String");
    }

    static Optional<TypeOutline> abstraction(Nothing nothing, Program program) {
        return program.type(Symbol.of(nothing.source()).type())
                .flatMap(owner -> program.resolve(new TypeRef(nothing.yields()), owner));
    }

    @Override
    public Optional<Fit> fit(Finding finding, Program program) {
        if (!(finding.detail() instanceof Nothing nothing)) {
            return Optional.empty();
        }
        String simple = new TypeRef(nothing.yields()).simpleName();
        boolean told = simple.equalsIgnoreCase("String") && (!nothing.careless().isEmpty() || nothing.guards().stream().anyMatch(each -> each.reaction() != Reaction.PASSES_OVER));
        if (told) {
            return Optional.empty();
        }
        if (COLLECTIONS.contains(simple) || nothing.yields().endsWith("[]")) {
            return Optional.of(new Fit(key(), isContainer(nothing.yields()) ? 0.7 : 0.6, "an empty " + (nothing.yields().endsWith("[]") ? "array" : simple)
                    + " can stand for nothing, if no caller tells the two apart"));
        }
        Optional<TypeOutline> type = abstraction(nothing, program);
        if (type.isEmpty() || type.get().traits().isFinal() || !type.get().constants().isEmpty()) {
            return Optional.empty();
        }
        long skipping = nothing.guards().stream().filter(each -> each.reaction() == Reaction.PASSES_OVER).count();
        long failing = nothing.guards().stream().filter(each -> each.reaction() == Reaction.THROWS).count();
        double score = 0.45 + 0.35 * skipping / Math.max(1, nothing.guards().size())
                + (nothing.careless().isEmpty() ? 0 : 0.08) + (type.get().isInterface() ? 0.04 : 0) - (failing > 0 ? FAILING : 0);
        String neutral = "a neutral " + type.get().simpleName();
        return Optional.of(new Fit(key(), score, skipping == 0
                ? neutral + " can answer in one place what its callers put in place of nothing"
                : skipping + " of " + nothing.guards().size() + " callers only skip it, which " + neutral + " does by itself"
                + (failing == 0 ? "" : "; but to " + failing + " it is an error, which no object can stand for")));
    }

    @Override
    public Answer answer(Finding finding, Site site) {
        Nothing nothing = (Nothing) finding.detail();
        Optional<TypeOutline> type = abstraction(nothing, site.program());
        String name = type.map(each -> "No" + each.simpleName()).orElse("the empty " + nothing.yields());
        String instance = type.isPresent() ? name + ".INSTANCE" : emptyOf(nothing.yields());
        List<Role> roles = new ArrayList<>(List.of(new Role("abstraction", nothing.yields(), true),
                new Role("null object", name, type.isEmpty())));
        List<Evidence> yields = nothing.gives().stream().map(Place::evidence).toList();
        List<Step> steps = List.of(
                new Step(type.isPresent() ? "Add " + name + " with one shared instance; every operation answers neutrally."
                        : "Agree on " + instance + " for nothing.", type.map(each -> List.of(site.planned(each, name,
                        "the empty object"))).orElse(List.of()), Check.LANGUAGE),
                new Step("Let the source give it instead of " + Language.nothingIn(finding.file()) + ". The guards still stand, and are now never taken: "
                        + "check that none decides more than skipping.", yields, Check.CONFIRM),
                new Step("Remove the guards, one at a time.", nothing.guards().stream().map(each -> each.place().evidence()).toList(),
                        Check.CONFIRM_EACH));
        Cost cost = new Cost(type.isPresent() ? 1 : 0, (type.isPresent() ? 12 : 0) - 2 * nothing.guards().size(),
                "in a debugger the empty object looks real");
        List<Evidence> after = List.of();
        return new Answer(roles, steps, cost, after);
    }

    private static String emptyOf(String type) {
        TypeRef ref = new TypeRef(type);
        if (ref.isArray()) {
            return "new " + ref.element().text() + "[0]";
        }
        return switch (ref.simpleName()) {
            case "String" -> "\"\"";
            case "List", "Collection", "Iterable" -> "List.of()";
            case "Set" -> "Set.of()";
            case "Map" -> "Map.of()";
            case "Stream" -> "Stream.empty()";
            case "Iterator" -> "Collections.emptyIterator()";
            default -> "null /* what is a neutral " + ref.simpleName() + "? */";
        };
    }
}
