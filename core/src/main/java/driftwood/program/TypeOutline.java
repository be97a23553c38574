package driftwood.program;

import driftwood.pack.Line;
import driftwood.tree.Mark;
import driftwood.tree.Traits;
import driftwood.tree.TypeKind;
import driftwood.tree.TypeRef;
import java.util.List;
import java.util.Optional;

/**
 * A type as other files may see it.
 *
 * @param name           qualified, nested types with a dot: {@code quay.Office.Desk}
 * @param outer          qualified name of the enclosing type, empty at the top level
 * @param file           path of its file
 * @param kind           class, interface, enum, record or annotation
 * @param traits         modifiers and annotations
 * @param typeParameters names only
 * @param supertypes     class first, then interfaces
 * @param permitted      of a sealed type, else empty
 * @param fields         in order, enum constants not among them
 * @param routines       in order, constructors among them
 * @param constants      of an enum, in order
 * @param anonymous      created in the middle of a routine, without a name
 * @param line           first line
 * @param endLine        last line
 */
public record TypeOutline(String name, String outer, String file, TypeKind kind, Traits traits,
        List<String> typeParameters, List<TypeRef> supertypes, List<TypeRef> permitted, List<FieldOutline> fields,
        List<RoutineOutline> routines, List<String> constants, boolean anonymous, @Line int line, @Line int endLine) {

    /** By the name alone: the rest follows from it nearly always, and outlines are keys of many maps. */
    @Override
    public int hashCode() {
        return name.hashCode();
    }

    /** Whether a line of a file is in the text of this type. */
    public boolean holds(String place, int number) {
        return file.equals(place) && line <= number && number <= endLine;
    }

    public String simpleName() {
        return name.substring(name.lastIndexOf('.') + 1);
    }

    public boolean isInterface() {
        return kind == TypeKind.INTERFACE || kind == TypeKind.ANNOTATION;
    }

    /** Whether it stands for a source file that holds routines outside of any class. */
    public boolean isModule() {
        return traits.has(Mark.MODULE);
    }

    /** Whether instances of this very type can exist. */
    public boolean isConcrete() {
        return !isInterface() && !traits.isAbstract() && !isModule();
    }

    public Optional<FieldOutline> field(String wanted) {
        return fields.stream().filter(field -> field.name().equals(wanted)).findFirst();
    }

    /** Its own routine of that symbol. */
    public Optional<RoutineOutline> routine(String symbol) {
        return routines.stream().filter(each -> each.symbol().equals(symbol)).findFirst();
    }

    public List<RoutineOutline> constructors() {
        return routines.stream().filter(RoutineOutline::isConstructor).toList();
    }

    /** Whether it is a class that has routines and is not thrown. */
    public boolean behaves() {
        return kind == TypeKind.CLASS && !isError() && routines.stream().anyMatch(each -> !each.isConstructor());
    }

    /** Whether its name or a parent's says that it is thrown. */
    public boolean isError() {
        return isThrown(simpleName()) || supertypes.stream().anyMatch(each -> isThrown(each.simpleName()));
    }

    private static boolean isThrown(String name) {
        return name.endsWith("Exception") || name.endsWith("Error") || name.equals("Throwable");
    }
}
