/** Refactorings carried out: what changes stage by stage, the recipes that say so, and the walk that writes it to the sources. */
package driftwood.refactor;
