/** Plans: candidates with their costs, the change drill, roles, steps and a sketch. */
package driftwood.plan;
