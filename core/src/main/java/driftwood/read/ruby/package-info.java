/** Reads Ruby. */
package driftwood.read.ruby;
