/** What several detectors see: chains of branches, creations, ways outside, shapes of routines. */
package driftwood.smell.see;
