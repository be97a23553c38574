/** Decisions as they are written: what their arms ask, do, and hand on, and what becomes of them in a routine of their own. */
package driftwood.refactor.java.decision;
