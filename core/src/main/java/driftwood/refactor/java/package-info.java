/** Refactorings of Java code, written by recipes and compiled stage by stage. */
package driftwood.refactor.java;
