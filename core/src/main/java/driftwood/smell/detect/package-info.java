/** The detectors, a class or a package a smell; {@link driftwood.smell.detect.Catalogue} lists them. */
package driftwood.smell.detect;
