package driftwood.program;

import driftwood.tree.TypeRef;

/**
 * The static type of a value, and from where its name is to be understood.
 *
 * @param ref   the type as written somewhere; never NONE
 * @param scope the type in whose text it is written
 */
public record ValueType(TypeRef ref, TypeOutline scope) {
}
