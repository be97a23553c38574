package driftwood.refactor.java.recipe.twin;

import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.NewFile;
import driftwood.smell.TypeFacts.Grid;
import driftwood.smell.TypeFacts.Grid.Cell;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.util.ElementFilter;

/**
 * decorator: where the subclasses of one word do what those of another do, and more, the word becomes a wrapper around
 * any of them; each of its subclasses is left as a name for what it wraps.
 */
public final class WordAround implements GridRecipe {

    @Override
    public String pattern() {
        return "decorator";
    }

    @Override
    public void write(Drafting drafting) {
        TypeElement parent = drafting.workspace().type(((Grid) drafting.finding().detail()).parent());
        Map<Cell, GridCell> cells = GridRecipe.cells(drafting, parent);
        cells.values().forEach(GridCell::refuseAsking);
        Optional<Around> around = plainWords(drafting, parent, cells, Cell::row, Cell::column).or(() -> plainWords(drafting, parent, cells, Cell::column, Cell::row));
        around.orElseThrow(() -> new Refused("no word of their names only adds to what those of another word do")).write();
    }

    /** The first word of a direction that all others of it only add to. */
    private static Optional<Around> plainWords(Drafting drafting, TypeElement parent, Map<Cell, GridCell> cells, Function<Cell, String> word, Function<Cell, String> other) {
        return cells.keySet().stream().map(word).distinct().map(plain -> Around.of(drafting, parent, cells, word, other, plain)).flatMap(Optional::stream).findFirst();
    }
    /**
     * The wrappers of one direction of the grid.
     *
     * @param wrappers by word, what each routine does around the wrapped one; a routine that only passes on is missing
     * @param wrapped  the cell of the plain word that each other cell wraps
     */
    private record Around(Drafting drafting, TypeElement parent, Map<String, Map<String, String>> wrappers, Map<GridCell, GridCell> wrapped, Map<String, List<GridCell>> of) {

        static Optional<Around> of(Drafting drafting, TypeElement parent, Map<Cell, GridCell> cells, Function<Cell, String> word, Function<Cell, String> other, String plain) {
            Map<String, GridCell> bases = new LinkedHashMap<>();
            cells.forEach((cell, each) -> {
                if (word.apply(cell).equals(plain)) {
                    bases.put(other.apply(cell), each);
                }
            });
            Around around = new Around(drafting, parent, new LinkedHashMap<>(), new LinkedHashMap<>(), new LinkedHashMap<>());
            for (Map.Entry<Cell, GridCell> each : cells.entrySet()) {
                String own = word.apply(each.getKey());
                GridCell base = bases.get(other.apply(each.getKey()));
                if (!own.equals(plain) && (base == null || !around.add(own, base, each.getValue()))) {
                    return Optional.empty();
                }
            }
            boolean adds = around.wrappers.values().stream().noneMatch(Map::isEmpty);
            return adds && !around.wrapped.isEmpty() ? Optional.of(around) : Optional.empty();
        }

        private boolean add(String word, GridCell base, GridCell cell) {
            if (!base.routines().keySet().equals(cell.routines().keySet())) {
                return false;
            }
            Map<String, String> does = new LinkedHashMap<>();
            for (String each : cell.routines().keySet()) {
                if (!base.told(each).equals(cell.told(each))) {
                    Optional<String> body = new Wrapping(drafting.workspace(), base.routines().get(each), cell.routines().get(each)).around("wrapped");
                    if (body.isEmpty() || !cell.constants(List.of(each)).isEmpty()) {
                        return false;
                    }
                    does.put(each, body.get());
                }
            }
            if (wrappers.containsKey(word) && !wrappers.get(word).equals(does)) {
                return false;
            }
            wrappers.put(word, does);
            wrapped.put(cell, base);
            of.computeIfAbsent(word, key -> new ArrayList<>()).add(cell);
            return true;
        }

        void write() {
            Map<String, String> names = new LinkedHashMap<>();
            wrappers.keySet().forEach(each -> names.put(each, drafting.typeName(each, parent, each + parent.getSimpleName(), each + "Wrapped" + parent.getSimpleName())));
            drafting.script().stage("Add " + String.join(" and ", names.values()) + ", which wraps any " + parent.getSimpleName(),
                    wrapped.keySet().stream().map(each -> drafting.workspace().place(each.path(), "adds to " + wrapped.get(each).name())).toList());
            wrappers.forEach((word, does) -> wrapper(names.get(word), of.get(word).get(0), does));
            drafting.script().stage("Leave each of " + wrapped.keySet().stream().map(GridCell::name).collect(Collectors.joining(", ")) + " as a name for what it wraps",
                    wrapped.keySet().stream().map(each -> drafting.workspace().place(each.path(), "wraps " + wrapped.get(each).name())).toList());
            drafting.nextType(wrapped.keySet().iterator().next().path(), parent.getSimpleName().toString(), "the new " + parent.getSimpleName() + ": it is one by itself, or wraps another");
            of.forEach((word, all) -> all.forEach(each -> each.reduce(drafting, names.get(word), "new " + wrapped.get(each).name() + "()")));
        }

        private void wrapper(String name, GridCell cell, Map<String, String> does) {
            NewFile file = new NewFile(drafting, cell.unit(), name);
            StringBuilder rest = new StringBuilder();
            cell.routines().forEach((key, routine) -> rest.append("\n    @Override\n    ").append(Drafting.visibility(routine)).append(head(file, routine)).append(" {\n        ")
                    .append(does.containsKey(key) ? Code.deeper(Code.deeper(does.get(key))) : passing(routine)).append("\n    }\n"));
            String above = (parent.getKind() == ElementKind.INTERFACE ? " implements " : " extends ") + file.name(parent);
            String code = "/** " + Words.upper(Words.one(parent.getSimpleName())) + " that adds to the one it wraps. */\n" + Drafting.openness(parent) + "class " + name + above + " {\n    private final " + parent.getSimpleName()
                    + " wrapped;\n\n    " + name + "(" + parent.getSimpleName() + " wrapped) {\n        this.wrapped = wrapped;\n    }\n" + rest + "}\n";
            file.importing(code).write(code);
        }

        /** As the parent has it: what is wrapped may throw all that the parent says. */
        private String head(NewFile file, ExecutableElement routine) {
            ExecutableElement told = ElementFilter.methodsIn(drafting.workspace().elements().getAllMembers(parent)).stream()
                    .filter(each -> drafting.workspace().elements().overrides(routine, each, (TypeElement) routine.getEnclosingElement())).findFirst()
                    .orElseThrow(() -> new Refused(routine.getSimpleName() + "() is no routine of " + parent.getSimpleName()));
            return file.name(told.getReturnType()) + " " + routine.getSimpleName() + file.taking(routine.getParameters(), told);
        }

        private static String passing(ExecutableElement routine) {
            String call = "wrapped." + routine.getSimpleName() + "(" + Imports.arguments(routine.getParameters()) + ");";
            return (routine.getReturnType().getKind() == TypeKind.VOID ? "" : "return ") + call;
        }
    }
}
