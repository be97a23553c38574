/** The recipes for Python: one class a pattern and shape. */
package driftwood.refactor.python.recipe;
