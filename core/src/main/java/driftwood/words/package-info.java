/** Words that people type. */
package driftwood.words;
