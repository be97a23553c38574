/** The version history of the scanned path, read with JGit; nothing of it is loaded unless it is asked for. */
package driftwood.history;
