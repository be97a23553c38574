/** Recipes for routines: what they are told, where they live, whom they tell. */
package driftwood.refactor.java.recipe.routine;
