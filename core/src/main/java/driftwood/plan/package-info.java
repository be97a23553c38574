/** Plans: candidates with their costs, the change drill, roles and steps. */
package driftwood.plan;
