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
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * subclass-explosion: sibling types whose names factor into a grid of two or more words by two or more words, with
 * bodies repeated across one dimension, or levels that repeat the same word; four or more cells present, with bodies.
 * Not: messages and data classes. (Catalogue, subclass-explosion; Gamma et al., Bridge and Decorator on combinations of
 * subclasses.)
 */
public final class SubclassExplosion implements Detector {
    private static final Smell SMELL = new Smell("subclass-explosion", "se", "Subclass explosion",
            "Two independent choices are made by one hierarchy, so that every combination is a class of its own. One more "
                    + "word in either direction means a whole row of classes, and their bodies are copies.",
            "Names that only look like a grid; messages and data classes; grids without repeated bodies.",
            """
            class DayTugTariff ..., class NightTugTariff ..., class DayYachtTariff ..., class NightYachtTariff ...
            """);

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(ShapeWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<Shape>> sighted = sightings.judged(ShapeWalk.SEER);
        Map<String, Map<String, List<Shape>>> shapes = new HashMap<>();
        for (Seen<Shape> seen : sighted) {
            if (seen.sighting().statements() >= 1 && !seen.sighting().name().equals("new")) {
                shapes.computeIfAbsent(seen.sighting().type(), key -> new HashMap<>())
                        .computeIfAbsent(seen.sighting().key(), key -> new ArrayList<>(1)).add(seen.sighting());
            }
        }
        Map<TypeOutline, List<NameGrid.Cell>> grids = new LinkedHashMap<>();
        for (TypeOutline parent : program.types()) {
            if (isMark(parent, program) || program.children(parent).isEmpty() || program.hasMoreDescendants(parent, MOST)) {
                continue;
            }
            List<TypeOutline> family = program.descendants(parent).stream().filter(each -> !each.anonymous()
                    && each.isConcrete() && shapes.containsKey(each.name()) && !isCarrier(each, shapes.get(each.name()))).toList();
            if (family.size() >= NameGrid.CELLS && !program.fileOf(parent).test()) {
                List<NameGrid.Cell> grid = NameGrid.of(family, shapes, program);
                if (grid.size() >= NameGrid.CELLS) {
                    grids.put(parent, grid);
                }
            }
        }
        return largest(grids).stream().map(parent -> finding(parent, grids.get(parent))).toList();
    }

    /** An interface that asks for nothing makes no family of those that bear it, unless they are called after it. */
    private static boolean isMark(TypeOutline parent, Program program) {
        return parent.isInterface() && parent.routines().isEmpty() && program.ancestors(parent).stream().allMatch(each -> each.routines().isEmpty())
                && program.children(parent).stream().noneMatch(each -> each.simpleName().endsWith(parent.simpleName()));
    }

    /** A message or a data class: its routines hand its fields in and out, or tell it from another, and hardly one does more. */
    private static boolean isCarrier(TypeOutline type, Map<String, List<Shape>> bodies) {
        List<RoutineOutline> routines = type.routines().stream().filter(each -> !each.isConstructor() && !each.traits().isStatic()).toList();
        Set<String> carrying = routines.stream().filter(each -> isAccessor(type, each)).map(RoutineOutline::name).collect(Collectors.toSet());
        long identity = routines.stream().filter(each -> IDENTITY.contains(each.name())).count();
        long working = bodies.values().stream().flatMap(List::stream).filter(each -> each.statements() > PLAIN && !carrying.contains(each.name())
                && !IDENTITY.contains(each.name())).count();
        return carrying.size() >= 2 && 2 * (carrying.size() + identity) >= routines.size() && working <= 1;
    }

    private static boolean isAccessor(TypeOutline type, RoutineOutline routine) {
        Matcher name = ACCESSOR.matcher(routine.name());
        return routine.parameters().size() <= 1 && name.matches()
                && type.field(Character.toLowerCase(name.group(1).charAt(0)) + name.group(1).substring(1)).isPresent();
    }

    private static final Set<String> IDENTITY = Set.of("equals", "hashCode", "toString", "compareTo");
    /** A routine of more statements works. */
    private static final int PLAIN = 2;
    private static final Pattern ACCESSOR = Pattern.compile("(?:get|is|set)([A-Z].*)");

    /** A larger family is a language of its own, and every type above it is asked. */
    private static final int MOST = 600;

    /** Of grids that share cells the largest is told, at the lowest parent that has it. */
    private static List<TypeOutline> largest(Map<TypeOutline, List<NameGrid.Cell>> grids) {
        List<TypeOutline> parents = new ArrayList<>(grids.keySet());
        parents.sort(Comparator.comparingInt((TypeOutline each) -> -grids.get(each).size())
                .thenComparingInt(each -> each.isInterface() ? 1 : 0).thenComparing(TypeOutline::name));
        Set<String> told = new LinkedHashSet<>();
        List<TypeOutline> kept = new ArrayList<>();
        for (TypeOutline parent : parents) {
            List<String> names = grids.get(parent).stream().map(each -> each.type().name()).toList();
            if (names.stream().noneMatch(told::contains)) {
                kept.add(parent);
                told.addAll(names);
            }
        }
        return kept;
    }

    private static Finding finding(TypeOutline parent, List<NameGrid.Cell> grid) {
        Map<String, List<String>> rows = new LinkedHashMap<>();
        Set<String> columns = new LinkedHashSet<>();
        List<Evidence> evidence = new ArrayList<>();
        List<Place> places = new ArrayList<>();
        List<TypeFacts.Grid.Cell> cells = new ArrayList<>();
        Set<String> files = new LinkedHashSet<>();
        int lead = NameGrid.lead(grid.stream().map(NameGrid.Cell::row).distinct().toList());
        for (NameGrid.Cell cell : grid) {
            String row = cell.row().length() == lead ? "plain" : cell.row().substring(lead);
            rows.computeIfAbsent(row, key -> new ArrayList<>()).add(cell.column());
            columns.add(cell.column());
            cells.add(new TypeFacts.Grid.Cell(cell.type().name(), row, cell.column()));
            files.add(cell.type().file());
            evidence.add(new Evidence(cell.type().file(), cell.type().line(), cell.type().endLine(), row + " x "
                    + cell.column() + ": " + cell.type().simpleName()));
            places.add(new Place(cell.type().file(), cell.type().line(), cell.type().endLine(), cell.type().name(),
                    "a class beside this one"));
        }
        Drag drag = Drag.of(Math.max(rows.size(), columns.size()), files.size(), grid.size())
                .risk(grid.size() < rows.size() * columns.size(), 0.2, rows.size() * columns.size() - grid.size()
                        + " combinations are missing").build();
        Gathered detail = new TypeFacts.Grid(parent.name(), List.copyOf(rows.keySet()), List.copyOf(columns), cells, places);
        return SMELL.finding(Spot.of(parent), drag, "its subclasses are a grid of " + Listing.of(List.copyOf(rows.keySet()))
                + " by " + Listing.of(List.copyOf(columns)) + ": " + grid.size() + " classes with repeated bodies",
                evidence, detail);
    }
}
