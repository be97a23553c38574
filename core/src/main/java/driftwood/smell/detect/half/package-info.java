/** Objects that are made in one step and completed in others. */
package driftwood.smell.detect.half;
