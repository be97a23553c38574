/** Routines that a boolean splits in two. */
package driftwood.smell.detect.flag;
