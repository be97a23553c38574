/**
 * The class path of observed code as its project means it: resources beside the sources, libraries from the project's
 * own build. A build tool is asked through its public interface, and only for this.
 */
package driftwood.behaviour.build;
