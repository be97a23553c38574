package driftwood.program;

import driftwood.pack.Line;
import driftwood.tree.Mark;
import driftwood.tree.RoutineKind;
import driftwood.tree.Traits;
import driftwood.tree.TypeKind;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

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

    /** Whether its declarations stand in several places, each of which says a part. */
    public boolean isPartial() {
        return traits.has(Mark.PARTIAL);
    }

    /**
     * The same type without some of its routines.
     *
     * @param kept    which of them stay; asked also of the constructor that a class has where none is written
     * @param implied whether there is such a one: a class of which no constructor stays can be made by nobody then
     */
    TypeOutline with(Predicate<RoutineOutline> kept, boolean implied) {
        List<RoutineOutline> left = new ArrayList<>(routines.stream().filter(kept).toList());
        RoutineOutline plain = new RoutineOutline(file, name, simpleName(), RoutineKind.CONSTRUCTOR, new Traits(Set.of(Mark.PRIVATE), Set.of()), List.of(), TypeRef.NONE,
                List.of(), true, true, line, line);
        boolean closed = constructors().isEmpty() ? !kept.test(plain) : left.stream().noneMatch(RoutineOutline::isConstructor);
        if (implied && kind == TypeKind.CLASS && closed) {
            left.add(plain);
        }
        return new TypeOutline(name, outer, file, kind, traits, typeParameters, supertypes, permitted, fields, left, constants, anonymous, line, endLine);
    }

    /** This type and what another of its declarations adds to it. */
    TypeOutline and(TypeOutline part) {
        Traits both = new Traits(union(traits.marks(), part.traits.marks()), union(traits.annotations(), part.traits.annotations()));
        return new TypeOutline(name, outer, file, kind, both, typeParameters, joined(supertypes, part.supertypes),
                joined(permitted, part.permitted), joined(fields, part.fields), joined(routines, part.routines),
                joined(constants, part.constants), anonymous, line, endLine);
    }

    private static <T> List<T> joined(List<T> some, List<T> more) {
        return List.copyOf(union(some, more));
    }

    private static <T> Set<T> union(Collection<T> some, Collection<T> more) {
        Set<T> all = new LinkedHashSet<>(some);
        all.addAll(more);
        return all;
    }

    /** Path of the file in which one of its members stands. @param member symbol of a routine or field */
    String fileOf(String member) {
        return !isPartial() ? file : routine(member).map(RoutineOutline::file)
                .or(() -> field(Symbol.of(member).member()).map(FieldOutline::file)).orElse(file);
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
        int name = symbol.indexOf(Symbol.BEFORE_MEMBER) + 1;
        for (RoutineOutline each : routines) {
            if (symbol.startsWith(each.name(), name) && symbol.equals(each.symbol())) {
                return Optional.of(each);
            }
        }
        return Optional.empty();
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

    /** Whether what is called so is thrown. @param name simple */
    public static boolean isThrown(String name) {
        return name.endsWith("Exception") || name.endsWith("Error") || name.equals("Throwable");
    }
}
