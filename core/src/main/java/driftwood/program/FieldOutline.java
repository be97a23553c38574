package driftwood.program;

import driftwood.pack.Line;
import driftwood.tree.Traits;
import driftwood.tree.TypeRef;

/**
 * A field as other files may see it.
 *
 * @param file    path of its file: a type may be declared in several
 * @param name    its name; never blank
 * @param type    as declared, or NONE
 * @param traits  modifiers and annotations
 * @param start   what its initial value is
 * @param trail   the way to its initial value, UNKNOWN where there is none
 * @param line    first line of the declaration
 * @param endLine last line of the declaration
 */
public record FieldOutline(String file, String name, TypeRef type, Traits traits, Start start, Trail trail, @Line int line,
        @Line int endLine) {

    /** What a field starts with. */
    public enum Start {
        NOTHING, NULL, LITERAL, VALUE
    }

    /** By name and line alone: the rest follows from it nearly always, and outlines are keys of many maps. */
    @Override
    public int hashCode() {
        return name.hashCode() * 31 + line;
    }

    /** A constant by the language's own convention: static and never reassigned. */
    public boolean isConstant() {
        return traits.isStatic() && traits.isFinal();
    }
}
