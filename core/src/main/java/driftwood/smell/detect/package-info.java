/** The detectors: one class a smell, with the rule in its doc comment. */
package driftwood.smell.detect;
