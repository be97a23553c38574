package driftwood.smell.detect;

import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Place;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Gathered;
import driftwood.smell.Listing;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.TypeFacts;
import driftwood.smell.see.shape.Shape;
import driftwood.smell.see.shape.ShapeWalk;
import driftwood.source.Language;
import driftwood.source.Language.Contract;
import driftwood.tree.Import;
import driftwood.tree.TypeKind;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * near-twin-classes: two or more sibling types (same parent or the same members) whose bodies are the same except for
 * literals or one routine, and that repeat at least one routine of two or more statements. Not: generated code; types
 * that differ in two or more routines; types whose only routine is the differing one. (Catalogue, near-twin-classes.)
 */
public final class NearTwinClasses implements Detector {
    private static final Pattern SPELLED = Pattern.compile("(Boolean|Byte|Char|Short|Int|Long|Float|Double)(?![a-z])|\\d+");
    private static final Smell SMELL = new Smell("near-twin-classes", "nt", "Near-twin classes",
            "Types that were copied from each other: the same code but for some literals or one routine. A correction in "
                    + "one must be made in all, and one will be forgotten.",
            "Generated code; types that differ in two or more routines; types whose only routine is the one that "
                    + "differs (a healthy strategy).",
            """
            class TugInvoice    { int total() { int t = base() + 4; return t * nights; } }
            class TankerInvoice { int total() { int t = base() + 9; return t * nights; } }
            """);

    private static final String OUTSIDE = "what stands outside of routines";
    /** What shows how something is used is copied by whoever reads it, and from one place to another. */
    private static final Pattern EXAMPLE = Pattern.compile("(?i)(.*/)?(examples?|samples?|demos?|tutorials?|snippets)/.*");

    /** So many statements are written again in no time. */
    private static final int FEW = 3;

    @Override
    public Smell smell() {
        return SMELL;
    }

    private static final Pattern MIGRATION = Pattern.compile("(.*\\W)?\\w*Migration(\\W.*)?");
    private static final Pattern STEPS = Pattern.compile("(?i)(.*/)?(migrations?|migrate|alembic|versions|evolutions?)/.*");
    private static final List<Set<String>> THERE_AND_BACK = List.of(Set.of("upgrade", "downgrade"), Set.of("up", "down"));

    @Override
    public List<Seer<?>> seers() {
        return List.of(ShapeWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<Shape>> sighted = sightings.judged(ShapeWalk.SEER);
        Map<String, Map<String, Shape>> byType = new LinkedHashMap<>();
        for (Seen<Shape> seen : sighted) {
            byType.computeIfAbsent(seen.sighting().type(), key -> new TreeMap<>()).put(seen.sighting().key(), seen.sighting());
        }
        Map<String, List<TypeOutline>> alike = new LinkedHashMap<>();
        byType.forEach((name, shapes) -> program.type(name).filter(type -> !type.anonymous() && !isHistory(type, program) && repeats(shapes, Set.of()))
                .ifPresent(type -> alike.computeIfAbsent(members(type, shapes, program), key -> new ArrayList<>()).add(type)));
        // Parts of types that are twins themselves are told with them.
        List<List<TypeOutline>> groups = new ArrayList<>();
        for (List<TypeOutline> candidates : alike.values()) {
            List<TypeOutline> left = new ArrayList<>(candidates);
            while (left.size() > 1) {
                TypeOutline first = left.remove(0);
                List<TypeOutline> twins = new ArrayList<>(List.of(first));
                Set<String> differing = new LinkedHashSet<>();
                for (TypeOutline each : left) {
                    Set<String> more = new LinkedHashSet<>(differing);
                    more.addAll(differing(byType.get(first.name()), byType.get(each.name())));
                    if (!isKin(first, each, program) && areTwins(byType.get(first.name()), more)) {
                        twins.add(each);
                        differing = more;
                    }
                }
                left.removeAll(twins);
                if (twins.size() > 1) {
                    groups.add(twins);
                }
            }
        }
        groups.removeIf(part -> groups.stream().anyMatch(whole -> whole != part && part.stream().allMatch(each ->
                whole.stream().anyMatch(outer -> outer.name().equals(each.outer())))));
        List<Finding> findings = new ArrayList<>();
        groups.forEach(twins -> findings.add(finding(twins, byType, program)));
        return findings;
    }

    /** A step by which the tables of a data base became what they are: it is run once, and nobody edits it afterwards. */
    private static boolean isHistory(TypeOutline type, Program program) {
        return type.supertypes().stream().anyMatch(each -> MIGRATION.matcher(each.text()).matches() && program.resolve(each, type).isEmpty())
                || STEPS.matcher(type.file()).matches() && THERE_AND_BACK.stream().anyMatch(names ->
                type.routines().stream().map(RoutineOutline::name).collect(Collectors.toSet()).containsAll(names));
    }

    /** What siblings share: names of fields and routines, in any order, and the parents inside the project. */
    private static String members(TypeOutline type, Map<String, Shape> shapes, Program program) {
        Set<String> names = new TreeSet<>(shapes.keySet());
        type.routines().stream().filter(each -> !each.hasBody()).forEach(each -> names.add("abstract " + each.name()));
        type.fields().forEach(each -> names.add("." + each.name()));
        return names.toString();
    }

    /** Whether each takes its one parent class from outside, and not the same one as the others. */
    private static boolean areApart(List<TypeOutline> twins, Program program) {
        return twins.stream().map(each -> parents(each, program)).distinct().count() > 1 && twins.stream().allMatch(each ->
                each.kind() == TypeKind.CLASS && hasForeignClass(each, program))
                && twins.stream().map(each -> classesAbove(each, program)).reduce(NearTwinClasses::shared).filter(Set::isEmpty).isPresent();
    }

    /** The parents of a type without their arguments, imported names in full: classes of one name may be of two libraries. */
    private static List<String> parents(TypeOutline type, Program program) {
        return type.supertypes().stream().map(each -> program.fileOf(type).imports().stream().filter(one -> !one.onDemand()
                && one.alias().equals(each.simpleName())).map(Import::name).findFirst().orElse(each.name())).toList();
    }

    /** Whether it or a class above it names a parent that the project does not know; an interface that does so says nothing about classes. */
    private static boolean hasForeignClass(TypeOutline type, Program program) {
        return Stream.concat(Stream.of(type), classesAbove(type, program).stream()).anyMatch(each ->
                each.supertypes().stream().anyMatch(parent -> program.resolve(parent, each).isEmpty()));
    }

    private static Set<TypeOutline> classesAbove(TypeOutline type, Program program) {
        return program.ancestors(type).stream().filter(each -> each.kind() == TypeKind.CLASS).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static Set<TypeOutline> shared(Set<TypeOutline> some, Set<TypeOutline> others) {
        return some.stream().filter(others::contains).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static boolean isKin(TypeOutline one, TypeOutline other, Program program) {
        return program.ancestors(one).contains(other) || program.ancestors(other).contains(one);
    }

    /** The routines of which the bodies differ, literals aside. */
    private static Set<String> differing(Map<String, Shape> one, Map<String, Shape> other) {
        Set<String> keys = new LinkedHashSet<>();
        one.forEach((key, mine) -> {
            if (mine.outline() != other.get(key).outline()) {
                keys.add(key);
            }
        });
        return keys;
    }

    /** One routine differs at most, and one with some work in it is repeated; what types do outside of routines is no less than these. */
    private static boolean areTwins(Map<String, Shape> shapes, Set<String> differing) {
        int loose = differing.stream().map(shapes::get).filter(each -> each.name().isEmpty()).mapToInt(Shape::statements).sum();
        int repeated = shapes.values().stream().filter(each -> !differing.contains(each.key())).mapToInt(Shape::statements).sum();
        return differing.size() <= 1 && loose <= repeated && repeats(shapes, differing);
    }

    private static boolean repeats(Map<String, Shape> shapes, Set<String> differing) {
        return shapes.values().stream().anyMatch(each -> !differing.contains(each.key()) && works(each)
                && !Language.isAsked(each.name(), Contract.EQUALITY, Contract.HASH, Contract.TEXT, Contract.ORDER));
    }

    /** A routine with work in it: neither a constructor nor one statement, such as handing itself to a visitor. */
    private static boolean works(Shape shape) {
        return shape.statements() >= 2 && !shape.name().isEmpty() && !shape.name().equals("new");
    }

    private static Finding finding(List<TypeOutline> twins, Map<String, Map<String, Shape>> byType, Program program) {
        TypeOutline first = twins.get(0);
        Map<String, Shape> own = byType.get(first.name());
        Set<String> differing = new LinkedHashSet<>();
        Set<String> literals = new LinkedHashSet<>();
        List<Evidence> evidence = new ArrayList<>();
        List<Place> places = new ArrayList<>();
        Set<String> files = new LinkedHashSet<>();
        for (TypeOutline twin : twins) {
            files.add(twin.file());
            evidence.add(new Evidence(twin.file(), twin.line(), twin.endLine(), "twin: " + Listing.apart(twins).get(twins.indexOf(twin))));
            for (Map.Entry<String, Shape> each : byType.get(twin.name()).entrySet()) {
                Shape mine = own.get(each.getKey());
                if (mine.outline() != each.getValue().outline()) {
                    differing.add(each.getKey());
                } else if (mine.exact() != each.getValue().exact()) {
                    literals.add(mine.name());
                }
            }
            if (twin != first) {
                places.add(new Place(twin.file(), twin.line(), twin.endLine(), twin.name(), "the same again"));
            }
        }
        List<Shape> repeated = own.values().stream().filter(each -> !each.name().isEmpty() && !differing.contains(each.key())).toList();
        List<Shape> working = repeated.stream().filter(NearTwinClasses::works).toList();
        int same = repeated.size();
        Optional<Shape> largest = repeated.stream()
                .max((a, b) -> a.statements() - b.statements());
        largest.ifPresent(shape -> evidence.add(new Evidence(first.file(), shape.line(), shape.endLine(),
                "the longest repeated routine: " + readable(shape.name()) + ", "
                        + Listing.count(shape.statements(), "statement"))));
        String but = !differing.isEmpty() ? "but for " + Listing.of(named(differing, own).stream().map(NearTwinClasses::readable).toList())
                : !literals.isEmpty() ? "but for literals in " + Listing.of(literals.stream()
                .map(NearTwinClasses::readable).toList()) : "word for word";
        Drag drag = Drag.of(twins.size(), files.size(), working.size())
                .risk(true, 0.2, "a correction in one is easily forgotten in the other")
                .risk(twins.stream().allMatch(NearTwinClasses::isEnumeration), -0.8, "enums cannot share a parent")
                .risk(twins.stream().noneMatch(each -> each.outer().isEmpty()), -0.6, "they are parts of other types")
                .risk(working.stream().mapToInt(Shape::statements).sum() <= FEW, -0.8, "only a few statements are repeated")
                .risk(twins.stream().anyMatch(each -> EXAMPLE.matcher(each.file()).matches()), -2.5, "examples are copies by nature")
                .risk(isSpelledOut(twins), -1.5, "one for each primitive type or number of type parameters, which no parent can stand for")
                .risk(areApart(twins, program), -1.5, "each extends a class from outside, so they cannot share a parent")
                .risk(twins.stream().allMatch(TypeOutline::isError), -2.5, "errors take their place in a given hierarchy").build();
        List<String> names = Listing.apart(twins);
        Gathered detail = new TypeFacts.Twins(twins.stream().map(TypeOutline::name).toList(), names, !differing.isEmpty()
                ? named(differing, own).stream().map(each -> each.isEmpty() ? OUTSIDE : each).toList()
                : List.of(literals.isEmpty() ? "their names" : "some literals"), places);
        return SMELL.finding(Spot.of(first), drag, Listing.of(names) + " are the same " + but + ": "
                + Listing.count(same, "routine") + " repeated", evidence, detail);
    }

    /** An enum, or a class that is written as one: all of its instances are constants of its own. */
    private static boolean isEnumeration(TypeOutline type) {
        long own = type.fields().stream().filter(each -> each.isConstant() && each.type().simpleName().equals(type.simpleName())).count();
        return type.kind() == TypeKind.ENUM || own >= 2 && !type.constructors().isEmpty()
                && type.constructors().stream().allMatch(each -> each.traits().isPrivate());
    }

    /** The same name but for a primitive type or a number: what generics cannot say is written out. */
    private static boolean isSpelledOut(List<TypeOutline> twins) {
        return twins.stream().map(each -> SPELLED.matcher(each.name()).replaceAll("")).distinct().count() == 1;
    }

    private static List<String> named(Set<String> keys, Map<String, Shape> shapes) {
        return keys.stream().map(key -> shapes.get(key).name()).distinct().toList();
    }

    private static String readable(String routine) {
        return routine.isEmpty() ? OUTSIDE : routine.equals("new") ? "the constructor" : routine + "()";
    }
}
