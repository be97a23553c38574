/** Finding source files and reading their text: what to look at, in which encoding, and which lines are where. */
package driftwood.source;
