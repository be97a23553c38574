/** Walks that ask each part whether it holds others. */
package driftwood.smell.detect.container;
