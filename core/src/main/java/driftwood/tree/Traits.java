package driftwood.tree;

import java.util.Set;

/**
 * Modifiers and annotations of a declaration.
 *
 * @param modifiers   in lower case: public, protected, private, static, final, abstract, sealed, default...
 * @param annotations simple names without the at sign
 */
public record Traits(Set<String> modifiers, Set<String> annotations) {
    /** No modifier and no annotation. */
    public static final Traits NONE = new Traits(Set.of(), Set.of());

    public boolean has(String modifier) {
        return modifiers.contains(modifier);
    }

    public boolean isAnnotated(String annotation) {
        return annotations.contains(annotation);
    }

    public boolean isStatic() {
        return has("static");
    }

    public boolean isFinal() {
        return has("final");
    }

    public boolean isAbstract() {
        return has("abstract");
    }

    public boolean isPrivate() {
        return has("private");
    }

    public boolean isDeprecated() {
        return isAnnotated("Deprecated");
    }
}
