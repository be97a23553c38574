/** Refactorings of Python code, written by recipes and read again stage by stage. */
package driftwood.refactor.python;
