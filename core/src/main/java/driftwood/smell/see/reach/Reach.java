package driftwood.smell.see.reach;

import driftwood.pack.Line;

/**
 * A place where code reaches outside of itself.
 *
 * @param type      qualified name of the type around
 * @param routine   symbol of the routine or field around
 * @param whileCreating   whether it happens while an instance is made
 * @param stored    whether what is taken hold of is kept in a field
 * @param resource  what is reached
 * @param source    how the resource is named: a literal or constant, the name of a parameter, or empty
 * @param parameter whether the source is a parameter of the constructor
 * @param given     whether the routine gives it back: the time, a random number
 * @param line      where
 */
public record Reach(String type, String routine, boolean whileCreating, boolean stored, Resource resource, String source,
        boolean parameter, boolean given, @Line int line) {

    /**
     * Whether the type exists to reach outside, rather than to look at the clock while it does something else.
     *
     * @param hidden whether the routine around is private, so that what it gives back goes to its own type
     */
    public boolean isEssential(boolean hidden) {
        return resource.kind().isOutside() || resource.kind() == Resource.Kind.CONSOLE || given && !hidden
                || stored && resource.kind() == Resource.Kind.RANDOM;
    }
}
