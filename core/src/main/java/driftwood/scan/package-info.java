/**
 * The engine: sees all files in parallel, judges, settles overlaps, and remembers.
 * It stands above patterns, which answer what it finds.
 */
package driftwood.scan;
