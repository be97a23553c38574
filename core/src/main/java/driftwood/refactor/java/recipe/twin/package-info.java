/** Recipes for types that repeat one another. */
package driftwood.refactor.java.recipe.twin;
