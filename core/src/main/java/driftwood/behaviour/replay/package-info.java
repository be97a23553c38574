/** Turns the values of recordings, which name parts, into objects of the code as it is now. */
package driftwood.behaviour.replay;
