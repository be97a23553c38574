/** What earlier scans saw and said, in the form in which it is kept. */
package driftwood.scan.memory;
