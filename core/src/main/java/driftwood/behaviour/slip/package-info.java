/** Small mistakes planted in observed code, one at a time, and the branches it takes: the measure of a recording. */
package driftwood.behaviour.slip;
