package driftwood.refactor.java.recipe.twin;

import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.TypeFacts.Grid;
import driftwood.smell.TypeFacts.Grid.Cell;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;

/** strategy: what the subclasses of a grid do by one word of their names goes into an object of that word; each is left as a name for two of these. */
public final class TwoDirections implements GridRecipe {

    @Override
    public String pattern() {
        return "strategy";
    }

    @Override
    public void write(Drafting drafting) {
        new Combining(drafting, (Grid) drafting.finding().detail()).write();
    }

    private static final class Combining {
        private final Drafting drafting;
        private final Workspace workspace;
        private final Grid grid;
        private final TypeElement parent;
        private final Map<Cell, GridCell> cells;
        private final GridCell first;
        private final Unit unit;

        Combining(Drafting drafting, Grid grid) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.grid = grid;
            this.parent = workspace.type(grid.parent());
            this.cells = GridRecipe.cells(drafting, parent);
            this.first = cells.values().iterator().next();
            this.unit = first.unit();
            for (GridCell each : cells.values()) {
                if (!each.routines().keySet().equals(first.routines().keySet())) {
                    Set<String> more = new LinkedHashSet<>(each.routines().keySet());
                    more.removeAll(first.routines().keySet());
                    throw new Refused(each.name() + " and " + first.name() + " do not have the same routines" + (more.isEmpty() ? "" : ": " + more.iterator().next()));
                }
            }
        }

        void write() {
            List<String> rows = new ArrayList<>();
            List<String> columns = new ArrayList<>();
            List<String> shared = new ArrayList<>();
            for (String each : first.routines().keySet()) {
                boolean row = isDecided(each, Cell::row);
                boolean column = isDecided(each, Cell::column);
                if (!row && !column) {
                    throw new Refused(each.substring(0, each.indexOf('(')) + "() differs with both words of the names");
                }
                (row && column ? shared : row ? rows : columns).add(each);
            }
            if (rows.isEmpty() || columns.isEmpty()) {
                throw new Refused("what the subclasses do depends on one word of their names alone");
            }
            Direction down = new Direction("rows", rows, Cell::row);
            Direction across = new Direction("columns", columns, Cell::column);
            String whole = drafting.typeName("combination", parent, "Combined" + parent.getSimpleName(), parent.getSimpleName() + "OfParts");
            drafting.script().stage("Add " + down.type + " and " + across.type + ", with an object for each word", cells.values().stream().map(each -> workspace.place(each.path(), "does it")).toList());
            down.write();
            across.write();
            drafting.script().stage("Add " + whole + ", which is made of one of each", List.of(workspace.place(first.path(), "will be one")));
            combination(whole, down, across, shared);
            drafting.script().stage("Leave each of the " + cells.size() + " classes as a name for two of them", cells.values().stream().map(each -> workspace.place(each.path(), "keeps its name")).toList());
            cells.forEach((cell, each) -> each.reduce(drafting, whole, "new " + down.classes.get(cell.row()) + "(), new " + across.classes.get(cell.column()) + "()"));
        }

        /** Whether cells with the same word do the same. */
        private boolean isDecided(String routine, Function<Cell, String> word) {
            Map<String, Set<String>> texts = new LinkedHashMap<>();
            cells.forEach((cell, each) -> texts.computeIfAbsent(word.apply(cell), key -> new LinkedHashSet<>()).add(each.told(routine)));
            return texts.values().stream().allMatch(each -> each.size() == 1);
        }

        private void combination(String whole, Direction down, Direction across, List<String> shared) {
            NewFile file = new NewFile(drafting, unit, whole);
            StringBuilder rest = new StringBuilder();
            first.routines().forEach((key, routine) -> {
                if (shared.contains(key)) {
                    rest.append("\n    ").append(Code.deeper(first.code(routine))).append("\n");
                } else {
                    String call = (down.routines.contains(key) ? down : across).field + "." + routine.getSimpleName() + "(" + routine.getParameters().stream().map(VariableElement::getSimpleName).collect(Collectors.joining(", ")) + ");";
                    rest.append("\n    @Override\n    ").append(Drafting.visibility(routine)).append(file.head(routine)).append(" {\n        ")
                            .append(routine.getReturnType().getKind() == TypeKind.VOID ? "" : "return ").append(call).append("\n    }\n");
                }
            });
            String above = (parent.getKind() == ElementKind.INTERFACE ? " implements " : " extends ") + file.name(parent);
            String code = "/** " + Words.upper(Words.one(parent.getSimpleName())) + " made of two parts. */\n" + Drafting.openness(parent) + "class " + whole + above + " {\n    private final " + down.type + " " + down.field + ";\n    private final "
                    + across.type + " " + across.field + ";\n\n    " + whole + "(" + down.type + " " + down.field + ", " + across.type + " " + across.field + ") {\n        this." + down.field + " = " + down.field
                    + ";\n        this." + across.field + " = " + across.field + ";\n    }\n" + rest + "}\n";
            file.importing(code).write(code);
        }

        /** What depends on one of the two words. */
        private final class Direction {
            private final List<String> routines;
            private final Function<Cell, String> word;
            private final String type;
            private final String field;
            private final Map<String, String> classes = new LinkedHashMap<>();

            Direction(String role, List<String> routines, Function<Cell, String> word) {
                this.routines = routines;
                this.word = word;
                String leading = first.routines().get(routines.get(0)).getSimpleName().toString().replaceFirst("^(get|compute|calculate|to)(?=[A-Z])", "");
                String upper = Words.upper(leading);
                this.type = drafting.typeName(role, parent, parent.getSimpleName() + upper, parent.getSimpleName() + upper + "Strategy");
                this.field = Words.lower(upper);
                grid.cells().forEach(cell -> classes.computeIfAbsent(word.apply(cell), each -> drafting.typeName(each, parent, (each.isEmpty() || each.equals("plain") ? "Plain" : each) + upper,
                        (each.isEmpty() || each.equals("plain") ? "Plain" : each) + parent.getSimpleName() + upper)));
            }

            void write() {
                NewFile file = new NewFile(drafting, unit, type);
                StringBuilder heads = new StringBuilder();
                routines.forEach(each -> heads.append(heads.isEmpty() ? "" : "\n").append("    ").append(file.head(first.routines().get(each))).append(";\n"));
                file.write("/** What " + Words.one(parent.getSimpleName()) + " does by one part of its kind. */\ninterface " + type + " {\n" + heads + "}\n");
                classes.forEach((each, name) -> {
                    GridCell cell = cells.entrySet().stream().filter(one -> word.apply(one.getKey()).equals(each)).findFirst().orElseThrow().getValue();
                    StringBuilder code = new StringBuilder(cell.constants(routines));
                    routines.forEach(one -> code.append(code.isEmpty() ? "" : "\n").append("    ").append(Code.deeper(cell.opened(cell.routines().get(one)))).append("\n"));
                    String text = "class " + name + " implements " + type + " {\n" + code + "}\n";
                    new NewFile(drafting, cell.unit(), name).importing(text).write(text);
                });
            }
        }
    }
}
