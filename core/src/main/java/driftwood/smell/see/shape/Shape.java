package driftwood.smell.see.shape;

import driftwood.pack.Line;
import java.util.Arrays;

/**
 * What a routine's body looks like.
 *
 * @param type       qualified name of the type around
 * @param symbol     of the routine
 * @param name       of the routine, "new" for a constructor
 * @param parameters how many
 * @param statements how many, nested ones too
 * @param outline    equal for bodies that are the same but for literals, names of locals and the type's own name
 * @param exact      equal for bodies that are the same but for names of locals and the type's own name
 * @param pieces     what each simple statement looks like, as the outline does, in order; none for a type without parents, and where nothing branches
 * @param line       first line
 * @param endLine    last line
 */
public record Shape(String type, String symbol, String name, int parameters, int statements, long outline, long exact,
        int[] pieces, @Line int line, @Line int endLine) {

    /** Whether the bodies are the same but for literals, or but for the conditions under which the same is done. */
    public boolean repeats(Shape other) {
        return outline == other.outline || pieces.length >= 3 && Arrays.equals(pieces, other.pieces);
    }

    /** What twins must share. */
    public String key() {
        return name + "/" + parameters;
    }
}
