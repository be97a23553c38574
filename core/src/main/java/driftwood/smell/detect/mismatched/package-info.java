/** Clients that choose between strangers for one purpose. */
package driftwood.smell.detect.mismatched;
