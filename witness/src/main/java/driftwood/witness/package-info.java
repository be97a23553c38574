/**
 * Runs cases in a process of its own and tells what happened. Depends on nothing but the JDK, since it lives beside
 * the observed code.
 */
package driftwood.witness;
