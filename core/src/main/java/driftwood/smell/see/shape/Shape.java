package driftwood.smell.see.shape;

import driftwood.pack.Line;

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
 * @param line       first line
 * @param endLine    last line
 */
public record Shape(String type, String symbol, String name, int parameters, int statements, long outline, long exact,
        @Line int line, @Line int endLine) {

    /** What twins must share. */
    public String key() {
        return name + "/" + parameters;
    }
}
