/** Routines that work on the parts of another type. */
package driftwood.smell.detect.misplaced;
