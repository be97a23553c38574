/** Records as bytes, the numbers of their lines apart. Knows nothing of what the records mean. */
package driftwood.pack;
