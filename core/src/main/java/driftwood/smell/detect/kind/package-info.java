/** Chains of branches on the kind of a thing: on its type, its state, its size, or for choosing a class. */
package driftwood.smell.detect.kind;
