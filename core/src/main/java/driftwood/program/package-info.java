/**
 * The linked project. Each file gives an {@link driftwood.program.Outline}: small facts without its tree. The
 * {@link driftwood.program.Program} joins them: types, hierarchy, names, callers and creators.
 */
package driftwood.program;
