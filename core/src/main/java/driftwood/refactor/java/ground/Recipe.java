package driftwood.refactor.java.ground;

import driftwood.refactor.Refused;
import driftwood.smell.Finding;
import java.util.List;
import java.util.Set;

/** How code of one shape becomes a pattern: in stages, each of which compiles and behaves the same. Stateless. */
public interface Recipe {

    /** Key of the pattern; never blank. */
    String pattern();

    /** The forms that it can give the pattern, the usual one first; empty where there is one only. */
    default List<String> forms() {
        return List.of();
    }

    /** Whether findings of this kind are what it is for; whether it fits the code is said by {@link #write}. */
    boolean answers(Finding finding);

    /** Simple names of the types and members that it will follow: files without any of them are not looked at. Empty only where it knows its files. */
    Set<String> words(Finding finding);

    /** Relative paths of the files that it can come to, where it knows them: what it adds is seen by no others. Empty where names tell. */
    default Set<String> files(Finding finding) {
        return Set.of();
    }

    /** Whether it only prepares: what it makes of the code is taken on by another recipe of the pattern. */
    default boolean goesOn() {
        return false;
    }

    /** Writes the stages. @throws Refused where the code does not allow it, with the reason */
    void write(Drafting drafting);
}
