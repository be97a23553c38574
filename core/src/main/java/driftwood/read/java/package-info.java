/** Reads Java with the parser of the JDK that Driftwood runs on. */
package driftwood.read.java;
