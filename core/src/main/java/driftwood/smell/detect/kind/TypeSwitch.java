package driftwood.smell.detect.kind;

import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Label;
import driftwood.smell.Chain.Work;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Place;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Listing;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.see.chain.ChainWalk;
import driftwood.source.Language;
import driftwood.tree.Mark;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * type-switch: a chain of two or more arms that picks behaviour by the kind of one value, by run-time type or by a
 * tag, where at least two arms do work. Not: equals, compareTo and hashCode; characters and tokens in a lexer or
 * parser; foreign constants and built-in types; options of a main routine; arms that only create. (Catalogue,
 * type-switch; the trade's "replace conditional with polymorphism".)
 */
public final class TypeSwitch implements Detector {
    private static final Smell SMELL = new Smell("type-switch", "ts", "Type-switch conditional",
            "A chain of arms picks behaviour by the kind of one value: by its run-time type, or by a tag such as an "
                    + "enum constant. Every new kind means finding and editing every such chain, and nothing reminds "
                    + "you of the one you forget.",
            "A lone type guard; equals, compareTo, hashCode; characters and tokens in a lexer or parser; constants of "
                    + "foreign types; options of a main routine; chains that only look something up or only create.",
            """
            int dues(Vessel vessel) {
                switch (vessel.kind()) {
                    case TUG:    return pilotage(vessel) / 2;
                    case TANKER: return pilotage(vessel) + hazard(vessel);
                    default:     return pilotage(vessel);
                }
            }
            """);


    /** With more chains than this on one hierarchy, only those that share variants are told together. */
    private static final int CLOSE = 2;

    /** A chain with what it tells apart. */
    private record Judged(String file, Chain chain, Variants variants) {
        Place place() {
            return new Place(file, chain.line(), chain.endLine(), chain.routine(),
                    "another chain on the same variants: " + Listing.table(variants.names(), ", "));
        }
    }

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(ChainWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<Chain>> sighted = sightings.judged(ChainWalk.SEER);
        Map<String, List<Judged>> groups = new HashMap<>();
        Map<String, List<Judged>> lookups = new HashMap<>();
        List<Judged> judged = new ArrayList<>();
        for (Seen<Chain> seen : sighted) {
            Chain chain = seen.sighting();
            if (Excuses.isExcused(chain)) {
                continue;
            }
            Variants.of(chain, program).filter(variants -> !isKindOfToken(variants)).ifPresent(variants -> {
                Judged each = new Judged(seen.file(), chain, variants);
                boolean worth = chain.working() >= 2 && isWorth(chain, variants);
                if (worth) {
                    judged.add(each);
                }
                (worth ? groups : lookups).computeIfAbsent(variants.group(chain), key -> new ArrayList<>()).add(each);
            });
        }
        List<Finding> findings = new ArrayList<>();
        for (Judged each : judged) {
            findings.add(finding(each, siblings(each, groups, program), lookups(each, lookups), program));
        }
        return findings;
    }

    /**
     * Choices between the same constants or types that are no finding by themselves: each is one more place for a new one. What an
     * enum chooses by itself stands beside its constants.
     */
    private static List<Judged> lookups(Judged one, Map<String, List<Judged>> lookups) {
        String common = one.variants().common();
        return !KNOWN.contains(one.variants().kind()) || one.chain().within().equals(common) ? List.of()
                : lookups.getOrDefault(one.variants().group(one.chain()), List.of()).stream()
                        .filter(other -> shared(one, other) >= (one.variants().kind() == Variants.Kind.TYPES ? FEW : 2) && !other.chain().within().equals(common)).toList();
    }

    /** Variants that are declared somewhere: whoever adds one looks for all places. */
    private static final Set<Variants.Kind> KNOWN = Set.of(Variants.Kind.ENUM, Variants.Kind.TYPES);

    /** The kinds of what a scanner gives, or the instructions of a machine; operators outlive the tokens that they were read from. */
    private static boolean isKindOfToken(Variants variants) {
        return variants.kind() == Variants.Kind.ENUM && Excuses.SCANNED.matcher(variants.commonName()).matches()
                || variants.kind() == Variants.Kind.CONSTANTS && Excuses.INSTRUCTIONS.matcher(variants.commonName()).matches();
    }

    /** Two arms among more than so many each say nothing of what a chain as a whole decides by. */
    private static final int FEW = 3;

    /** At least two arms on variants do work, and the chain does more than create. */
    private static boolean isWorth(Chain chain, Variants variants) {
        long working = variants.arms().stream().filter(i -> chain.arms().get(i).work() == Work.ACTS).count();
        boolean onlyCreates = chain.arms().stream().allMatch(arm -> arm.product().isPresent()
                || arm.work() == Work.THROWS || arm.work() == Work.NOTHING);
        boolean mixed = variants.kind() == Variants.Kind.TYPES && variants.arms().size() >= 3 && working == 1 && chain.working() >= 3;
        boolean some = variants.arms().size() == 2 && chain.arms().size() > 2 * FEW;
        return (working >= 2 || mixed) && !onlyCreates && !some;
    }

    private static List<Judged> siblings(Judged one, Map<String, List<Judged>> groups, Program program) {
        List<Judged> others = new ArrayList<>(groups.get(one.variants().group(one.chain())));
        others.remove(one);
        boolean types = one.variants().kind() == Variants.Kind.TYPES;
        if (one.variants().isLoose() || types && others.size() > CLOSE) {
            others.removeIf(other -> shared(one, other) < 2);
        }
        if (one.variants().kind() == Variants.Kind.STRINGS && !others.isEmpty()) {
            // What overrides one routine in several types reads names of its own in each.
            Optional<String> root = program.rootAt(one.chain().within(), one.chain().routine());
            others.removeIf(other -> !other.chain().within().equals(one.chain().within()) && root.isPresent()
                    && root.equals(program.rootAt(other.chain().within(), other.chain().routine())));
        }
        return others;
    }

    private static int shared(Judged one, Judged other) {
        List<String> names = other.variants().names();
        return (int) one.variants().names().stream().distinct().filter(names::contains).count();
    }

    /** Whether a choice without a default has to name all variants. */
    private static boolean isGuarded(Chain chain, Variants variants, Program program) {
        Optional<Language> language = program.type(chain.within()).map(type -> program.fileOf(type).language());
        boolean closed = variants.kind() == Variants.Kind.ENUM || program.type(variants.common()).filter(type -> type.traits().has(Mark.SEALED)).isPresent();
        return chain.form() == Chain.Form.MATCH_VALUE && language.filter(Language::isDuckTyped).isEmpty()
                || chain.form() == Chain.Form.MATCH && closed && language.filter(each -> each.has(Language.Habit.CHOICES_CHECKED)).isPresent();
    }

    private static Finding finding(Judged one, List<Judged> siblings, List<Judged> lookups, Program program) {
        Chain chain = one.chain();
        Variants variants = one.variants();
        Optional<TypeOutline> common = program.type(variants.common());
        int missing = common.map(type -> Math.max(0, type.constants().size() - variants.names().size())).orElse(0);
        boolean guarded = chain.otherwise().isEmpty() && isGuarded(chain, variants, program);
        Set<String> files = new HashSet<>(Set.of(one.file()));
        Stream.concat(siblings.stream(), lookups.stream()).forEach(other -> files.add(other.file()));
        boolean downcasts = chain.arms().stream().anyMatch(arm -> !arm.casts().isEmpty());
        boolean reads = onlyReads(chain);
        boolean changes = !reads && !downcasts && changesOne(chain);
        Drag drag = Drag.of(reads ? 1 : 1 + siblings.size() + lookups.size(), reads ? 1 : files.size(), chain.arms().size())
                .risk(chain.otherwise().isEmpty() && !guarded && !changes, 0.5,
                        "no default: a forgotten variant silently gets nothing")
                .risk(hides(chain), 0.3, "a forgotten kind falls into the default unnoticed")
                .risk(downcasts, 0.2, "branches cast " + chain.subject().text() + " to its subtype")
                .risk(guarded, -0.8, "the compiler guards it: a new variant does not compile until it has an arm")
                .risk(changes, -1.2, "its arms only change one value")
                .risk(!reads && !downcasts && chain.working() <= 2 && siblings.size() <= 1, -0.5, "only two arms do anything")
                .risk(reads, -1.2, "its arms only keep values: names are read, no behaviour is chosen")
                .build();
        Detail detail = new Detail.Branching(chain, variants.names(), variants.common(),
                variants.kind() == Variants.Kind.TYPES, siblings.stream().map(Judged::place).toList());
        Spot spot = new Spot(one.file(), chain.line(), chain.endLine(), chain.routine());
        return SMELL.finding(spot, drag, message(one, siblings.size(), lookups.size(), guarded, missing),
                evidence(one, siblings, lookups, missing), detail);
    }

    /** Each arm gives one and the same local another value, and who is none of them keeps it as it is. */
    private static boolean changesOne(Chain chain) {
        return chain.otherwise().isEmpty() && chain.arms().stream().allMatch(arm -> arm.stored().size() == 1 && arm.lines() <= 2 + KEPT
                && arm.armCall().filter(Chain.ArmCall::alone).isPresent())
                && chain.arms().stream().map(arm -> arm.stored().get(0).name()).distinct().count() == 1;
    }

    /** An option may be kept as it is written and as what it means. */
    private static final int KEPT = 2;

    /** Arms that only keep a value under a name read options or attributes into locals. */
    private static boolean onlyReads(Chain chain) {
        long keeping = chain.arms().stream().filter(arm -> !arm.stored().isEmpty() && arm.stored().size() <= KEPT
                && arm.line() + 1 + KEPT >= arm.endLine()).count();
        return keeping * 4 >= chain.arms().size() * 3L && chain.arms().stream().anyMatch(arm -> arm.isOn(Label.Kind.STRING));
    }

    private static boolean hides(Chain chain) {
        return chain.otherwise().isPresent() && chain.otherwise().get().work() != Work.THROWS;
    }

    private static String message(Judged one, int siblings, int lookups, boolean guarded, int missing) {
        Variants variants = one.variants();
        String by = switch (variants.kind()) {
            case TYPES -> "the run-time type of " + one.chain().subject().text();
            case ENUM, CONSTANTS -> one.chain().subject().text() + " (" + variants.commonName() + ")";
            case STRINGS, NUMBERS -> "the tag " + one.chain().subject().text();
        };
        StringBuilder text = new StringBuilder("picks behaviour by ").append(by).append(" in ")
                .append(variants.arms().size()).append(variants.names().size() == variants.arms().size() ? " cases: " : " cases for ").append(Listing.of(variants.names()));
        if (siblings > 0) {
            text.append("; ").append(siblings).append(siblings == 1 ? " other chain does" : " other chains do")
                    .append(" the same");
        }
        if (lookups > 0) {
            text.append("; ").append(lookups).append(lookups == 1 ? " other choice looks" : " other choices look").append(" something up by it");
        }
        if (guarded) {
            text.append("; the compiler guards it");
        } else if (one.chain().otherwise().isEmpty()) {
            text.append("; no default").append(missing > 0 ? ", " + missing + " left out" : "");
        }
        return text.toString();
    }

    private static List<Evidence> evidence(Judged one, List<Judged> siblings, List<Judged> lookups, int missing) {
        List<Evidence> evidence = new ArrayList<>();
        for (Chain.Arm arm : one.chain().arms()) {
            String casts = arm.casts().isEmpty() ? "" : "; casts to " + String.join(", ", arm.casts());
            evidence.add(new Evidence(one.file(), arm.line(), arm.endLine(),
                    "arm for " + Listing.table(arm.labels().stream().map(Label::text).toList(), ", ") + ": " + does(arm) + casts));
        }
        one.chain().otherwise().ifPresent(rest -> {
            String hidden = missing > 0 && rest.work() != Work.THROWS
                    ? " (hides " + missing + (missing == 1 ? " constant)" : " constants)") : "";
            evidence.add(new Evidence(one.file(), rest.line(), rest.endLine(), "default: " + does(rest) + hidden));
        });
        siblings.forEach(sibling -> evidence.add(sibling.place().evidence()));
        lookups.forEach(other -> evidence.add(new Evidence(other.file(), other.chain().line(), other.chain().endLine(),
                "looks something up by the same variants: " + Listing.table(other.variants().names(), ", "))));
        return evidence;
    }

    static String does(Chain.Arm arm) {
        return arm.does().isEmpty() ? "does nothing" : arm.does();
    }
}
