/** Runs cases and slips in the runtime of their language, always in processes of their own. */
package driftwood.behaviour.run;
