/** Reads PHP. */
package driftwood.read.php;
