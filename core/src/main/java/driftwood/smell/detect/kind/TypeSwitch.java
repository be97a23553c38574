package driftwood.smell.detect.kind;

import driftwood.program.Program;
import driftwood.program.Trail;
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
import driftwood.source.Language.Contract;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
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

    private static final Set<String> COMPARISONS = Set.of("canEqual", "equivalent");
    private static final Pattern READING = Pattern.compile(
            "(?i).*(lex|pars|token|scanner|grammar|compile[rd]?\\b).*");
    private static final Pattern TOKEN = Pattern.compile(
            "(?i)(c|ch|chr|character|token|tok|symbol|sym|t|tt|lookahead|next.*|current.*|peek.*|op|operator|opcode)");
    /** What a scanner gave, by whatever way it is reached. */
    private static final Pattern TAKEN = Pattern.compile("(?i)(.*[^a-z])?([a-z]*(token|lexeme|opcode)([_.]?(type|kind|id|name|code)|s?)|tok([._].*)?)(\\W.*)?");
    /** Types of what a scanner gives; a word before it makes it something else: an access token is none. */
    private static final Pattern SCANNED = Pattern.compile("(token|lexeme|opcode)(type|kind|id|code)?s?", Pattern.CASE_INSENSITIVE);
    private static final Pattern BUILT_IN = Pattern.compile("[\"'](java\\.(lang|util|math|time|sql)\\.\\w+|boolean|byte|short|int|long|float|double|char|"
            + "str|bool|string|String|Integer|Long|Boolean|Double|list|dict|tuple)[\"']");
    private static final Pattern TRUTH = Pattern.compile("(?i)[\"'](yes|no|true|false|on|off|0|1|y|n|t|f)[\"']");
    private static final Pattern PIECE = Pattern.compile("(?i).*(opcode|tag|token|insn|instruction|bytecode)");
    private static final Pattern READER = Pattern.compile("(?i).*(read|decod|disassembl|table|input).*");
    /** Called back by a parser for each piece that it reads. */
    private static final Pattern CALLED_IN_A_LOOP = Pattern.compile("(?i:start|end|on|visit|handle)(Element|Token|Tag|Line).*");
    private static final Pattern PROTOCOL = Pattern.compile("(?i).*(status_?code|response_?code|key_?code|errno).*");
    /** What a platform tells of an event, where nothing but the label says what it is. */
    private static final Pattern TOLD = Pattern.compile("(?i)(.*\\W)?(e|ev|evt|event)\\.(key|code|which|button|type|inputtype)");

    /** With more chains than this on one hierarchy, only those that share variants are told together. */
    private static final int CLOSE = 2;

    /** A chain with what it tells apart. */
    private record Judged(String file, Chain chain, Variants variants) {
        Place place() {
            return new Place(file, chain.line(), chain.endLine(), chain.routine(),
                    "another chain on the same variants: " + String.join(", ", variants.names()));
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
        List<Judged> judged = new ArrayList<>();
        for (Seen<Chain> seen : sighted) {
            Chain chain = seen.sighting();
            if (chain.working() >= 2 && !isExcused(chain)) {
                Variants.of(chain, program).filter(variants -> isWorth(chain, variants) && !isKindOfToken(variants)).ifPresent(variants -> {
                    Judged each = new Judged(seen.file(), chain, variants);
                    judged.add(each);
                    groups.computeIfAbsent(variants.group(chain), key -> new ArrayList<>()).add(each);
                });
            }
        }
        List<Finding> findings = new ArrayList<>();
        for (Judged each : judged) {
            findings.add(finding(each, siblings(each, groups, program), program));
        }
        return findings;
    }

    private static boolean isExcused(Chain chain) {
        return COMPARISONS.contains(chain.routineName()) || Language.isAsked(chain.routineName(), Contract.EQUALITY,
                Contract.HASH, Contract.ORDER) || Language.isAsked(chain.routineName(), Contract.COMPARISON) && !isOperator(chain) || isMain(chain) || isReading(chain) || isTaken(chain)
                || PROTOCOL.matcher(chain.subject().text()).matches() || TAKEN.matcher(chain.subject().text()).matches()
                || isOfToken(chain) || isTold(chain) || namesBuiltIns(chain) || saysYesOrNo(chain)
                || chain.arms().stream().anyMatch(arm -> arm.isOn(Label.Kind.CHARACTER));
    }

    private static boolean isTold(Chain chain) {
        return TOLD.matcher(chain.subject().text()).matches() && chain.arms().stream().allMatch(arm -> arm.isOn(Label.Kind.STRING) || arm.isOn(Label.Kind.INTEGER));
    }

    /** A bare name that stands for constants is what a comparison is told to do, and none of the things compared. */
    private static boolean isOperator(Chain chain) {
        return chain.subject().text().matches("\\w+") && chain.arms().stream().allMatch(arm -> arm.isOn(Label.Kind.NAME));
    }

    /** The kinds of what a scanner gives. */
    private static boolean isKindOfToken(Variants variants) {
        return variants.kind() == Variants.Kind.ENUM && SCANNED.matcher(variants.commonName()).matches();
    }

    /** Asked of a token: what it says is what stood in the text. */
    private static boolean isOfToken(Chain chain) {
        Trail way = chain.subject().trail();
        return way.start() == Trail.Start.TYPED && !way.steps().isEmpty() && Stream.of(new TypeRef(way.head()).name().split("\\.")).anyMatch(each -> SCANNED.matcher(each).matches())
                && chain.arms().stream().allMatch(arm -> arm.isOn(Label.Kind.STRING) || arm.isOn(Label.Kind.INTEGER));
    }

    /** Labels that are the names of the language's own types: arguments are made normal, nothing is added to these. */
    private static boolean namesBuiltIns(Chain chain) {
        long named = chain.arms().stream().flatMap(arm -> arm.labels().stream()).filter(label -> label.kind() == Label.Kind.STRING
                && BUILT_IN.matcher(label.text()).matches()).count();
        return named >= 2 && 2 * named >= chain.arms().size();
    }

    /** The spellings of a truth value. */
    private static boolean saysYesOrNo(Chain chain) {
        return chain.arms().stream().flatMap(arm -> arm.labels().stream()).allMatch(label -> label.kind() == Label.Kind.STRING
                && TRUTH.matcher(label.text()).matches());
    }

    /** Option parsing: the main routine itself, or labels that are options. */
    private static boolean isMain(Chain chain) {
        return chain.routineName().equals("main") || chain.arms().stream().flatMap(arm -> arm.labels().stream())
                .anyMatch(label -> label.kind() == Label.Kind.STRING && label.text().startsWith("\"-"));
    }

    /** Tokens are read by kind; nobody teaches a token to parse itself. */
    private static boolean isReading(Chain chain) {
        boolean reader = READING.matcher(chain.within().substring(chain.within().lastIndexOf('.') + 1)).matches()
                || READING.matcher(chain.routineName()).matches();
        boolean literal = chain.arms().stream().anyMatch(
                arm -> arm.isOn(Label.Kind.STRING) || arm.isOn(Label.Kind.INTEGER) || arm.isOn(Label.Kind.NAME));
        if (literal && chain.inLoop() && chain.subject().word().toLowerCase(Locale.ROOT).contains("token")) {
            return true;
        }
        boolean called = CALLED_IN_A_LOOP.matcher(chain.routineName()).matches();
        return reader && literal && (chain.inLoop() || called || TOKEN.matcher(chain.subject().word()).matches());
    }

    /** What a loop takes from its input piece by piece: an instruction, a tag, an item. */
    private static boolean isTaken(Chain chain) {
        return chain.inLoop() && PIECE.matcher(chain.subject().word()).matches() && chain.arms().stream().allMatch(arm ->
                arm.isOn(Label.Kind.NAME) || arm.isOn(Label.Kind.INTEGER)) && READER.matcher(chain.within()
                + "." + chain.routineName()).matches();
    }

    /** At least two arms on variants do work, and the chain does more than create. */
    private static boolean isWorth(Chain chain, Variants variants) {
        long working = variants.arms().stream().filter(i -> chain.arms().get(i).work() == Work.ACTS).count();
        boolean onlyCreates = chain.arms().stream().allMatch(arm -> arm.product().isPresent()
                || arm.work() == Work.THROWS || arm.work() == Work.NOTHING);
        return working >= 2 && !onlyCreates;
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

    private static Finding finding(Judged one, List<Judged> siblings, Program program) {
        Chain chain = one.chain();
        Variants variants = one.variants();
        Optional<TypeOutline> common = program.type(variants.common());
        int missing = common.map(type -> Math.max(0, type.constants().size() - variants.names().size())).orElse(0);
        boolean guarded = chain.otherwise().isEmpty() && chain.form() == Chain.Form.MATCH_VALUE;
        Set<String> files = new HashSet<>(Set.of(one.file()));
        siblings.forEach(sibling -> files.add(sibling.file()));
        boolean downcasts = chain.arms().stream().anyMatch(arm -> !arm.casts().isEmpty());
        boolean reads = onlyReads(chain);
        Drag drag = Drag.of(reads ? 1 : 1 + siblings.size(), reads ? 1 : files.size(), chain.arms().size())
                .risk(chain.otherwise().isEmpty() && !guarded, 0.5,
                        "no default: a forgotten variant silently gets nothing")
                .risk(hides(chain), 0.3, "a forgotten kind falls into the default unnoticed")
                .risk(downcasts, 0.2, "branches cast " + chain.subject().text() + " to its subtype")
                .risk(guarded, -0.8, "the compiler guards it: a new variant does not compile until it has an arm")
                .risk(reads, -1.2, "its arms only keep values: names are read, no behaviour is chosen")
                .build();
        Detail detail = new Detail.Branching(chain, variants.names(), variants.common(),
                variants.kind() == Variants.Kind.TYPES, siblings.stream().map(Judged::place).toList());
        Spot spot = new Spot(one.file(), chain.line(), chain.endLine(), chain.routine());
        return SMELL.finding(spot, drag, message(one, siblings.size(), guarded, missing),
                evidence(one, siblings, missing), detail);
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

    private static String message(Judged one, int siblings, boolean guarded, int missing) {
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
        if (guarded) {
            text.append("; the compiler guards it");
        } else if (one.chain().otherwise().isEmpty()) {
            text.append("; no default").append(missing > 0 ? ", " + missing + " left out" : "");
        }
        return text.toString();
    }

    private static List<Evidence> evidence(Judged one, List<Judged> siblings, int missing) {
        List<Evidence> evidence = new ArrayList<>();
        for (Chain.Arm arm : one.chain().arms()) {
            String casts = arm.casts().isEmpty() ? "" : "; casts to " + String.join(", ", arm.casts());
            evidence.add(new Evidence(one.file(), arm.line(), arm.endLine(),
                    "arm for " + arm.title() + ": " + does(arm) + casts));
        }
        one.chain().otherwise().ifPresent(rest -> {
            String hidden = missing > 0 && rest.work() != Work.THROWS
                    ? " (hides " + missing + (missing == 1 ? " constant)" : " constants)") : "";
            evidence.add(new Evidence(one.file(), rest.line(), rest.endLine(), "default: " + does(rest) + hidden));
        });
        siblings.forEach(sibling -> evidence.add(sibling.place().evidence()));
        return evidence;
    }

    static String does(Chain.Arm arm) {
        return arm.does().isEmpty() ? "does nothing" : arm.does();
    }
}
