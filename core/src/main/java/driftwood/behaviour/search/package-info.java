/** Looks for cases that show something of the code that no case has shown yet. */
package driftwood.behaviour.search;
