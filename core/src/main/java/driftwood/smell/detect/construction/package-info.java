/** Constructors and routines with many parameters. */
package driftwood.smell.detect.construction;
