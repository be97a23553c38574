package driftwood.refactor.python.ground;

import driftwood.refactor.Refused;
import driftwood.smell.Finding;

/** How Python code of one shape becomes a pattern: in stages, each of which behaves the same. Stateless. */
public interface PythonRecipe {

    /** Key of the pattern; never blank. */
    String pattern();

    /** Whether findings of this kind are what it is for; whether it fits the code is said by {@link #write}. */
    boolean answers(Finding finding);

    /** Writes the stages. @throws Refused where the code does not allow it, with the reason */
    void write(Draft draft);
}
