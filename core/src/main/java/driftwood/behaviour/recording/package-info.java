/** Recordings, as they are kept and as they are compared: the only form in which behaviour leaves a run. */
package driftwood.behaviour.recording;
