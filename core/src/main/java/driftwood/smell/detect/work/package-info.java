/** Constructors that do more than take their values. */
package driftwood.smell.detect.work;
