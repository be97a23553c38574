/** Routines in which most statements guard one. */
package driftwood.smell.detect.guard;
