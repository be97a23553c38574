/** Recipes for decisions by kind, by limit or by tag: who is asked about answers. */
package driftwood.refactor.java.recipe.kind;
