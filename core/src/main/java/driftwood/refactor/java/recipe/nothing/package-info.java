/** Recipes for what stands for nothing. */
package driftwood.refactor.java.recipe.nothing;
