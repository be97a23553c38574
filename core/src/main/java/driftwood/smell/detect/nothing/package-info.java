/** Null: where it is given, handed on, stored and guarded against. */
package driftwood.smell.detect.nothing;
