/** Recordings as ordinary tests of their language, which need nothing of Driftwood. */
package driftwood.behaviour.tests;
