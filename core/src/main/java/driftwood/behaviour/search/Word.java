package driftwood.behaviour.search;

import driftwood.behaviour.recording.Recording.Step;

/**
 * A call that a case may be made of.
 *
 * @param symbol of the routine
 * @param step   the call on the receiver, with arguments
 */
record Word(String symbol, Step step) {
}
