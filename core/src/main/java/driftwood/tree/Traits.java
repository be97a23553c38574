package driftwood.tree;

import java.util.EnumSet;
import java.util.Set;

/**
 * Marks and annotations of a declaration.
 *
 * @param marks       what it is said to be, by modifiers, annotations or the language itself
 * @param annotations simple names as written, without the at sign
 */
public record Traits(Set<Mark> marks, Set<String> annotations) {
    /** No mark and no annotation. */
    public static final Traits NONE = new Traits(Set.of(), Set.of());

    /** Marks only. */
    public static Traits of(Mark... marks) {
        return new Traits(Set.of(marks), Set.of());
    }

    /** The same, with a mark more. */
    public Traits and(Mark mark) {
        Set<Mark> more = EnumSet.of(mark);
        more.addAll(marks);
        return new Traits(more, annotations);
    }

    public boolean has(Mark mark) {
        return marks.contains(mark);
    }

    public boolean isAnnotated(String annotation) {
        return annotations.contains(annotation);
    }

    public boolean isPublic() {
        return has(Mark.PUBLIC);
    }

    public boolean isStatic() {
        return has(Mark.STATIC);
    }

    public boolean isFinal() {
        return has(Mark.FINAL);
    }

    public boolean isAbstract() {
        return has(Mark.ABSTRACT);
    }

    public boolean isPrivate() {
        return has(Mark.PRIVATE);
    }

    public boolean isNullable() {
        return has(Mark.NULLABLE);
    }

    public boolean isDeprecated() {
        return has(Mark.DEPRECATED) || isAnnotated("Deprecated") || isAnnotated("Obsolete");
    }

    /** Whether it is said to answer in place of an inherited routine. */
    public boolean overrides() {
        return has(Mark.OVERRIDES);
    }
}
