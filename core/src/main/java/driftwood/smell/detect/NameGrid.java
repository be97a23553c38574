package driftwood.smell.detect;

import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.smell.see.shape.Shape;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Types whose names factor into words by words, with bodies that are repeated. */
final class NameGrid {
    /** Fewer make no grid. */
    static final int CELLS = 4;
    private static final Set<String> REQUESTS = Set.of("Create", "Delete", "Describe", "List", "Get", "Put", "Post", "Patch", "Add", "Remove",
            "Update", "Upsert", "Alter", "Fetch", "Find", "Insert", "Drop", "Query");
    private static final Pattern WORDS = Pattern.compile("(?<=[a-z0-9])(?=[A-Z])|_");

    private NameGrid() {
    }

    /** A class name cut in two words around the words that all share. */
    record Cell(String row, String column, TypeOutline type) {
    }

    /** The largest grid with repeated bodies among the types of a family; empty where there is none. */
    static List<Cell> of(List<TypeOutline> family, Map<String, Map<String, List<Shape>>> shapes, Program program) {
        Map<String, List<Cell>> bySplit = new TreeMap<>();
        for (TypeOutline type : family) {
            String[] words = WORDS.split(type.simpleName());
            for (int i = isVaried(type, program) ? 0 : 1; i < words.length; i++) {
                for (int j = i + 1; j <= words.length; j++) {
                    String row = String.join("", List.of(words).subList(0, i));
                    String column = String.join("", List.of(words).subList(i, j));
                    String rest = String.join("", List.of(words).subList(j, words.length));
                    bySplit.computeIfAbsent(rest, key -> new ArrayList<>()).add(new Cell(row, column, type));
                }
            }
        }
        List<Cell> best = List.of();
        int shared = 0;
        for (Map.Entry<String, List<Cell>> split : bySplit.entrySet()) {
            List<Cell> all = dense(once(dense(split.getValue())));
            List<Cell> lowest = lowest(all, program);
            boolean crossed = isCrossed(lowest, program);
            BiPredicate<Cell, Cell> beside = crossed ? NameGrid::isBeside : besides(all, program);
            List<Cell> dense = crossed ? lowest : dense(all.stream().filter(each -> isRepeated(each, all, beside, shapes)).toList());
            boolean better = dense.size() > best.size() || dense.size() == best.size() && split.getKey().length() > shared;
            if (dense.size() >= CELLS && better && !hasPlain(dense, Cell::column) && !hasPlain(dense, Cell::row)
                    && !isRequests(dense) && repeats(dense, beside, shapes, crossed ? 1 : 2)) {
                best = dense;
                shared = split.getKey().length();
            }
        }
        return best;
    }

    /** A word that ends all the others of its direction: it belongs to what all share, and what has no other is the plain kind, no second one. */
    private static boolean hasPlain(List<Cell> cells, Function<Cell, String> direction) {
        List<List<String>> all = cells.stream().map(direction).distinct().filter(each -> !each.isEmpty()).map(each -> List.of(WORDS.split(each))).toList();
        return all.stream().anyMatch(plain -> all.size() > 1 && all.stream().allMatch(each -> each.size() >= plain.size()
                && each.subList(each.size() - plain.size(), each.size()).equals(plain)));
    }

    /** What is asked for, by what it is asked of: each pair is an operation of an interface, and a type of its own by nature. */
    private static boolean isRequests(List<Cell> cells) {
        return Stream.<Function<Cell, String>>of(Cell::row, Cell::column).anyMatch(direction ->
                cells.stream().map(direction).allMatch(REQUESTS::contains));
    }

    /** Whether a level below repeats the type with one word more: it is the plain one of its column. */
    private static boolean isVaried(TypeOutline type, Program program) {
        return program.children(type).stream().anyMatch(each -> each.simpleName().endsWith(type.simpleName())
                && each.simpleName().length() > type.simpleName().length());
    }

    /** Each type in one cell: that of the fullest row and column. */
    private static List<Cell> once(List<Cell> cells) {
        Map<TypeOutline, Cell> kept = new LinkedHashMap<>();
        for (Cell cell : cells) {
            kept.merge(cell.type(), cell, (a, b) -> fullness(a, cells) >= fullness(b, cells) ? a : b);
        }
        return List.copyOf(kept.values());
    }

    private static long fullness(Cell cell, List<Cell> cells) {
        return cells.stream().filter(each -> each.row().equals(cell.row()) || each.column().equals(cell.column())).count();
    }

    /** Rows and columns that have at least two cells each, after all others are struck out. */
    private static List<Cell> dense(List<Cell> cells) {
        List<Cell> left = new ArrayList<>(cells);
        boolean changed = true;
        while (changed && left.size() >= CELLS) {
            Map<String, Set<String>> rows = new HashMap<>();
            Map<String, Set<String>> columns = new HashMap<>();
            left.forEach(each -> {
                rows.computeIfAbsent(each.row(), key -> new TreeSet<>()).add(each.column());
                columns.computeIfAbsent(each.column(), key -> new TreeSet<>()).add(each.row());
            });
            changed = left.removeIf(each -> rows.get(each.row()).size() < 2 || columns.get(each.column()).size() < 2);
        }
        long rows = left.stream().map(Cell::row).distinct().count();
        long columns = left.stream().map(Cell::column).distinct().count();
        return rows >= 2 && columns >= 2 && left.size() >= CELLS && 2L * left.size() > rows * columns ? left : List.of();
    }

    /** The cells that are no parents of others: what stands above a whole row is no combination. */
    private static List<Cell> lowest(List<Cell> all, Program program) {
        Set<TypeOutline> above = new HashSet<>();
        all.forEach(each -> above.addAll(program.parents(each.type())));
        return dense(all.stream().filter(each -> !above.contains(each.type())).toList());
    }

    /** Whether each row and each column has a parent of its own, so that every cell is made of two. */
    private static boolean isCrossed(List<Cell> cells, Program program) {
        if (cells.size() < CELLS) {
            return false;
        }
        return haveParents(cells, Cell::row, program) && haveParents(cells, Cell::column, program);
    }

    /** Whether what is in one line of a direction has a parent that the other lines have not. */
    private static boolean haveParents(List<Cell> cells, Function<Cell, String> line, Program program) {
        Map<String, Set<TypeOutline>> parents = shared(cells, line, each -> program.parents(each.type()));
        return parents.values().stream().noneMatch(Set::isEmpty) && parents.values().stream().distinct().count() == parents.size();
    }

    /** By line, what all that is in it have above them, or are themselves. */
    private static Map<String, Set<TypeOutline>> shared(List<Cell> cells, Function<Cell, String> line, Function<Cell, Collection<TypeOutline>> parents) {
        Map<String, Set<TypeOutline>> shared = new HashMap<>();
        for (Cell each : cells) {
            Set<TypeOutline> above = new HashSet<>(parents.apply(each));
            above.add(each.type());
            shared.computeIfAbsent(line.apply(each), key -> new HashSet<>(above)).retainAll(above);
        }
        return shared;
    }

    /** Whether two are in one row or one column. */
    private static boolean isBeside(Cell one, Cell other) {
        return one.row().equals(other.row()) != one.column().equals(other.column());
    }

    /** Whether two are in one line that has no class above it of its own: what is repeated under one goes up to it, and needs no second direction. */
    private static BiPredicate<Cell, Cell> besides(List<Cell> cells, Program program) {
        Function<Cell, Collection<TypeOutline>> above = each -> program.ancestors(each.type());
        Set<TypeOutline> common = shared(cells, each -> "", above).getOrDefault("", Set.of());
        Set<String> rows = withOwn(shared(cells, Cell::row, above), common);
        Set<String> columns = withOwn(shared(cells, Cell::column, above), common);
        return (one, other) -> isBeside(one, other) && !(one.row().equals(other.row()) ? rows.contains(one.row()) : columns.contains(one.column()));
    }

    private static Set<String> withOwn(Map<String, Set<TypeOutline>> lines, Set<TypeOutline> common) {
        return lines.entrySet().stream().filter(each -> each.getValue().stream().anyMatch(type -> !type.isInterface() && !common.contains(type)))
                .map(Map.Entry::getKey).collect(Collectors.toSet());
    }

    /** Whether a cell has a body of one beside it: what repeats nothing has the names of the grid only. */
    private static boolean isRepeated(Cell cell, List<Cell> all, BiPredicate<Cell, Cell> beside, Map<String, Map<String, List<Shape>>> shapes) {
        return all.stream().anyMatch(each -> beside.test(cell, each) && shared(shapes.get(cell.type().name()), shapes.get(each.type().name())) >= 1);
    }

    /** Whether bodies are repeated in enough rows, or columns, and in one of them so that it matters. */
    private static boolean repeats(List<Cell> cells, BiPredicate<Cell, Cell> beside, Map<String, Map<String, List<Shape>>> shapes, int enough) {
        Set<String> lines = new TreeSet<>();
        Set<String> heavy = new TreeSet<>();
        for (Cell one : cells) {
            for (Cell other : cells) {
                if (beside.test(one, other)) {
                    int weight = shared(shapes.get(one.type().name()), shapes.get(other.type().name()));
                    String line = one.row().equals(other.row()) ? "row " + one.row() : "column " + one.column();
                    if (weight >= 1) {
                        lines.add(line);
                    }
                    if (weight >= 2) {
                        heavy.add(line);
                    }
                }
            }
        }
        return Stream.of("row", "column").anyMatch(direction -> heavy.stream().anyMatch(each -> each.startsWith(direction))
                && lines.stream().filter(each -> each.startsWith(direction)).count() >= enough);
    }

    /** How many statements of one type's routines stand in the other's as well. */
    private static int shared(Map<String, List<Shape>> one, Map<String, List<Shape>> other) {
        int shared = 0;
        for (Map.Entry<String, List<Shape>> each : one.entrySet()) {
            List<Shape> theirs = other.getOrDefault(each.getKey(), List.of());
            for (Shape mine : theirs.isEmpty() ? List.<Shape>of() : each.getValue()) {
                shared += theirs.stream().anyMatch(mine::repeats) ? mine.statements() : 0;
            }
        }
        return shared;
    }

    /** How many letters are in the words with which all of them begin. */
    static int lead(List<String> rows) {
        String[] first = WORDS.split(rows.get(0));
        int letters = 0;
        for (int i = 0; i < first.length && !first[i].isEmpty(); i++) {
            int at = i;
            if (!rows.stream().map(WORDS::split).allMatch(each -> each.length > at && each[at].equals(first[at]))) {
                break;
            }
            letters += first[i].length();
        }
        return letters;
    }
}
