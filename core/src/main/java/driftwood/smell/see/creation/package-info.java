/** How instances are created and what becomes of them. */
package driftwood.smell.see.creation;
