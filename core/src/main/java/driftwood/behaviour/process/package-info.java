/** Processes of observed code: started with limits and a home of their own, found and ended again with all they started. */
package driftwood.behaviour.process;
