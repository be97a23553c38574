/**
 * Characterization: what the code does now, pinned down before it is touched, and compared afterwards. Observed code
 * runs only in the witness, a process of its own with limits on time and memory.
 */
package driftwood.behaviour;
