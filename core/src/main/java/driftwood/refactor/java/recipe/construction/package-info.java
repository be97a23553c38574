/** Recipes for how objects are made, wrapped, begun and given what they work with. */
package driftwood.refactor.java.recipe.construction;
