/** Reads Kotlin. */
package driftwood.read.kotlin;
