/**
 * Smells: seen in single files, judged against the linked program. A {@link driftwood.smell.Seer} turns one tree into
 * sightings; a {@link driftwood.smell.Detector} turns all sightings and the program into findings.
 */
package driftwood.smell;
