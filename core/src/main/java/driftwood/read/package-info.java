/** Readers: one a language, from source text to the common tree. Reading never runs the code it reads. */
package driftwood.read;
