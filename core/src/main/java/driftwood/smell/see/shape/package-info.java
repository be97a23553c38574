/** What routine bodies look like when names of locals and literals are left out. */
package driftwood.smell.see.shape;
