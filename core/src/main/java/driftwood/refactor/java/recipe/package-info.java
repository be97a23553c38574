/** The recipes, a class for each pattern and shape of finding. {@code Recipes} lists them. */
package driftwood.refactor.java.recipe;
