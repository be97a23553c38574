/** The folder {@code .driftwood} in the scanned project: plans and recordings, written atomically. */
package driftwood.store;
