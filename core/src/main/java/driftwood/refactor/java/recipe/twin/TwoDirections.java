package driftwood.refactor.java.recipe.twin;

import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.Moving;
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
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
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
                if (!each.handed().stream().map(one -> one.asType().toString()).toList().equals(first.handed().stream().map(one -> one.asType().toString()).toList())) {
                    throw new Refused(each.name() + " and " + first.name() + " are made of different things");
                }
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
                    String call = (down.routines.contains(key) ? down : across).field + "." + routine.getSimpleName() + "("
                            + Stream.concat((down.routines.contains(key) ? down : across).asks() ? Stream.of("this") : Stream.of(), routine.getParameters().stream().map(VariableElement::getSimpleName)).collect(Collectors.joining(", ")) + ");";
                    rest.append("\n    @Override\n    ").append(Drafting.visibility(routine)).append(file.head(routine)).append(" {\n        ")
                            .append(routine.getReturnType().getKind() == TypeKind.VOID ? "" : "return ").append(call).append("\n    }\n");
                }
            });
            String above = (parent.getKind() == ElementKind.INTERFACE ? " implements " : " extends ") + file.name(parent);
            String taken = first.handed().stream().map(each -> file.name(each.asType()) + " " + each.getSimpleName() + ", ").collect(Collectors.joining());
            String handed = first.handed().isEmpty() ? "" : "super(" + Imports.arguments(first.handed()) + ");\n        ";
            String code = "/** " + Words.upper(Words.one(parent.getSimpleName())) + " made of two parts. */\n" + Drafting.openness(parent) + "class " + whole + above + " {\n    private final " + down.type + " " + down.field + ";\n    private final "
                    + across.type + " " + across.field + ";\n\n    " + whole + "(" + taken + down.type + " " + down.field + ", " + across.type + " " + across.field + ") {\n        " + handed + "this." + down.field + " = " + down.field
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
            private final boolean asking;
            private final String context;

            Direction(String role, List<String> routines, Function<Cell, String> word) {
                this.routines = routines;
                this.word = word;
                String leading = first.routines().get(routines.get(0)).getSimpleName().toString().replaceFirst("^(get|compute|calculate|to)(?=[A-Z])", "");
                String upper = Words.upper(leading);
                this.type = drafting.typeName(role, parent, parent.getSimpleName() + upper, parent.getSimpleName() + upper + "Strategy");
                boolean clash = first.handed().stream().anyMatch(each -> each.getSimpleName().contentEquals(Words.lower(upper)));
                this.field = Words.lower(clash ? type : upper);
                this.asking = cells.values().stream().anyMatch(each -> routines.stream().filter(each::asks).count() > 0);
                this.context = Words.lower(parent.getSimpleName().toString());
                boolean hidden = cells.values().stream().anyMatch(each -> routines.stream().anyMatch(one -> each.told(one).matches("(?s).*\\b" + context + "\\b.*")));
                if (asking && hidden) {
                    throw new Refused("a routine has a " + context + " already, which is what it would be handed");
                }
                grid.cells().forEach(cell -> classes.computeIfAbsent(word.apply(cell), each -> drafting.typeName(each, parent, (each.isEmpty() || each.equals("plain") ? "Plain" : each) + upper,
                        (each.isEmpty() || each.equals("plain") ? "Plain" : each) + parent.getSimpleName() + upper)));
            }

            /** Whether its objects are handed the one that they are a part of. */
            boolean asks() {
                return asking;
            }

            private String head(NewFile file, ExecutableElement routine) {
                String head = file.head(routine);
                int open = head.indexOf('(') + 1;
                return asking ? head.substring(0, open) + taken(file) + (routine.getParameters().isEmpty() ? "" : ", ") + head.substring(open) : head;
            }

            private String taken(NewFile file) {
                return asking ? file.name(parent) + " " + context : "";
            }

            /** A routine of one cell, as an object of its own has it. */
            private String code(NewFile file, GridCell cell, ExecutableElement routine) {
                Moving moving = new Moving(drafting, cell.type(), cell.unit(), context, "");
                return cell.opened(routine, path -> workspace.element(path) instanceof TypeElement || isConstant(workspace.element(path), cell) ? Optional.empty() : moving.apply(path), taken(file));
            }

            private static boolean isConstant(Element element, GridCell cell) {
                return element != null && element.getKind().isField() && cell.type().equals(element.getEnclosingElement());
            }

            void write() {
                NewFile file = new NewFile(drafting, unit, type);
                StringBuilder heads = new StringBuilder();
                routines.forEach(each -> heads.append(heads.isEmpty() ? "" : "\n").append("    ").append(head(file, first.routines().get(each))).append(";\n"));
                file.write("/** What " + Words.one(parent.getSimpleName()) + " does by one part of its kind. */\ninterface " + type + " {\n" + heads + "}\n");
                classes.forEach((each, name) -> {
                    GridCell cell = cells.entrySet().stream().filter(one -> word.apply(one.getKey()).equals(each)).findFirst().orElseThrow().getValue();
                    NewFile part = new NewFile(drafting, cell.unit(), name);
                    StringBuilder code = new StringBuilder(cell.constants(routines));
                    routines.forEach(one -> code.append(code.isEmpty() ? "" : "\n").append("    ").append(Code.deeper(code(part, cell, cell.routines().get(one)))).append("\n"));
                    String text = "class " + name + " implements " + type + " {\n" + code + "}\n";
                    part.importing(text).write(text);
                });
            }
        }
    }
}
