package driftwood.smell.detect.half;

import driftwood.program.FieldOutline;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Place;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Finding;
import driftwood.smell.Gathered;
import driftwood.smell.Listing;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.TypeFacts;
import driftwood.smell.detect.half.FieldUse.Kind;
import driftwood.smell.see.creation.CreationWalk;
import driftwood.smell.see.creation.Instantiation;
import driftwood.smell.see.creation.Setters;
import driftwood.source.Language.Contract;
import driftwood.source.Language;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * half-built-object: creation sites that must call three or more setters before the object is usable, or an object
 * whose routines fail until a setter was called. Not: plain data carriers, fluent builders, life-cycle calls, setters
 * of values that have a working default. (Catalogue, half-built-object.)
 */
public final class HalfBuiltObject implements Detector {
    /** Fewer setters than these after a creation are configuration. */
    private static final int SET_IN_A_ROW = 3;
    private static final Smell SMELL = new Smell("half-built-object", "hb", "Half-built object",
            "The constructor leaves the object unusable: setters must be called first, in the right number, and nothing "
                    + "says so but an error at run time.",
            "Plain data carriers; fluent builders; open, start and connect; values that have a working default.",
            """
            Pilotage pilotage = new Pilotage();
            pilotage.setVessel(vessel);
            pilotage.setPilot(pilot);
            pilotage.setTide(tide);
            pilotage.begin();              // fails when one of the three is forgotten
            """);

    private static final int SETTERS = 3;

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(FieldUseWalk.SEER, CreationWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        Map<String, Map<String, List<FieldUse>>> uses = new LinkedHashMap<>();
        Map<String, List<Place>> sites = new HashMap<>();
        Map<String, Set<String>> set = new HashMap<>();
        for (Seen<FieldUse> seen : sightings.of(FieldUseWalk.SEER)) {
            uses.computeIfAbsent(seen.sighting().type(), key -> new LinkedHashMap<>())
                    .computeIfAbsent(seen.sighting().field(), key -> new ArrayList<>()).add(seen.sighting());
        }
        for (Seen<Instantiation> seen : sightings.of(CreationWalk.SEER)) {
            if (!seen.test() && seen.sighting().set().size() >= SET_IN_A_ROW) {
                site(seen.file(), seen.sighting(), program, sites, set);
            }
        }
        List<Finding> findings = new ArrayList<>();
        uses.forEach((name, fields) -> program.type(name).filter(type -> !type.anonymous() && !type.traits().isAbstract()
                && !program.fileOf(type).test() && !type.simpleName().endsWith("Builder")).ifPresent(type -> {
            Map<String, FieldUse> demanded = new LinkedHashMap<>();
            Map<String, FieldUse> needed = new LinkedHashMap<>();
            Map<String, FieldUse> wrong = new LinkedHashMap<>();
            fields.forEach((field, each) -> {
                boolean born = each.stream().anyMatch(use -> use.kind() == Kind.BORN);
                boolean setter = each.stream().anyMatch(use -> use.kind() == Kind.SET)
                        || set.getOrDefault(name, Set.of()).contains(plain(field));
                if (setter && !born) {
                    boolean tolerated = each.stream().anyMatch(use -> use.kind() == Kind.TOLERATED);
                    each.stream().filter(use -> use.kind() == Kind.DEMANDED && !tolerated && !Setters.isNamed(use.name()))
                            .findFirst().ifPresent(use -> demanded.put(field, use));
                    each.stream().filter(use -> (use.kind() == Kind.NEEDED && !isChoice(type, field) || use.kind() == Kind.HANDED && !tolerated && isObject(type, field))
                            && !isAccessor(use.name(), field)).min(Comparator.comparing(FieldUse::kind)).ifPresent(use -> needed.put(field, use));
                    each.stream().filter(use -> use.kind() == Kind.HANDED && !tolerated && isNumber(type, field) && !isAccessor(use.name(), field)).findFirst().ifPresent(use -> wrong.putIfAbsent(field, use));
                }
            });
            Map<String, FieldUse> called = new LinkedHashMap<>(needed);
            called.keySet().removeIf(field -> !set.getOrDefault(name, Set.of()).contains(plain(field)));
            // Without two of them it fails, and without the third it computes wrongly.
            if (called.size() == SETTERS - 1) {
                wrong.forEach((field, use) -> {
                    if (set.getOrDefault(name, Set.of()).contains(plain(field))) {
                        called.putIfAbsent(field, use);
                    }
                });
            }
            Map<String, FieldUse> reason = demanded.isEmpty() && called.size() >= SETTERS ? called : demanded;
            if (!reason.isEmpty()) {
                findings.add(finding(type, reason, fields, sites.getOrDefault(name, List.of())));
            }
        }));
        return findings;
    }

    /** A place that creates one; its own code, and a builder within it, hand out none before it is whole. */
    private static void site(String file, Instantiation instantiation, Program program, Map<String, List<Place>> sites,
            Map<String, Set<String>> set) {
        program.type(instantiation.within()).flatMap(scope -> program.resolve(new TypeRef(instantiation.created()), scope))
                .filter(type -> !(instantiation.within() + ".").startsWith(type.name() + ".")).ifPresent(type -> {
                    sites.computeIfAbsent(type.name(), key -> new ArrayList<>()).add(new Place(file, instantiation.line(),
                            instantiation.line(), instantiation.routine(), "sets " + Listing.of(instantiation.set())));
                    instantiation.set().forEach(each -> set.computeIfAbsent(type.name(), key -> new LinkedHashSet<>())
                            .add(plain(each)));
                });
    }

    /** {@code setTide}, {@code tide} and {@code _tide} are one name. */
    private static String plain(String name) {
        String bare = Setters.isNamed(name) ? name.substring(3) : name;
        return bare.replace("_", "").toLowerCase(Locale.ROOT);
    }

    /** Whether a forgotten one is nothing, rather than 0 or false: numbers and yes-or-no begin as something. */
    private static boolean isObject(TypeOutline type, String field) {
        return type.field(field).map(FieldOutline::type).filter(each -> each.isPresent()
                && (each.isArray() || each.text().equals("string") || Character.isUpperCase(each.simpleName().charAt(0)))).isPresent();
    }

    /** Whether a forgotten one is 0, with which the object computes as if it had been told. */
    private static boolean isNumber(TypeOutline type, String field) {
        return type.field(field).map(FieldOutline::type).filter(each -> each.isPresent() && !isObject(type, field)).isPresent() && !isChoice(type, field);
    }

    /** Yes or no begins as no, which is as good an answer. */
    private static boolean isChoice(TypeOutline type, String field) {
        return type.field(field).map(FieldOutline::type).filter(each -> each.isPresent() && each.simpleName().toLowerCase(Locale.ROOT).startsWith("bool")).isPresent();
    }

    private static boolean isAccessor(String routine, String field) {
        String plain = routine.replaceFirst("^(?i:get|is|set|has)_?", "").replace("_", "").toLowerCase(Locale.ROOT);
        return plain.equals(plain(field)) || Language.isAsked(routine, Contract.EQUALITY, Contract.HASH, Contract.TEXT);
    }

    private static Finding finding(TypeOutline type, Map<String, FieldUse> reason, Map<String, List<FieldUse>> fields,
            List<Place> sites) {
        List<Evidence> evidence = new ArrayList<>();
        Set<String> files = new LinkedHashSet<>(Set.of(type.file()));
        Set<String> setters = new LinkedHashSet<>();
        reason.forEach((field, use) -> {
            evidence.add(new Evidence(type.file(), use.line(), use.line(), use.name() + "() "
                    + (use.kind() == Kind.DEMANDED ? "throws without " : "needs ") + field + ": " + use.text()));
            Optional<FieldUse> setter = fields.get(field).stream().filter(each -> each.kind() == Kind.SET).findFirst();
            setters.add(setter.map(each -> each.name() + "()").orElse(field));
            setter.ifPresent(each -> evidence.add(new Evidence(type.file(), each.line(), each.line(), "only "
                    + each.name() + "() sets " + field)));
        });
        sites.forEach(each -> {
            files.add(each.file());
            evidence.add(each.evidence());
        });
        Drag drag = Drag.of(1 + sites.size(), files.size(), reason.size())
                .risk(true, 0.3, "a forgotten setter shows only at run time")
                .risk(sites.size() == 1 && reason.values().stream().noneMatch(each -> each.kind() == Kind.DEMANDED), -0.8, "it is filled in one place only").build();
        Gathered detail = new TypeFacts.Unfinished(type.name(), List.copyOf(setters), sites);
        FieldUse first = reason.values().iterator().next();
        return SMELL.finding(Spot.of(type), drag, "unusable until " + Listing.of(List.copyOf(setters))
                + (setters.size() == 1 ? " was " : " were ") + (setters.stream().allMatch(each -> each.endsWith(")"))
                ? "called: " : "set: ") + first.name() + "() fails without "
                + first.field(), evidence, detail);
    }
}
