/** What code reaches outside of itself: files, the network, the clock, randomness. */
package driftwood.smell.see.reach;
