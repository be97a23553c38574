/** Chains of arms, whatever their spelling: if-else ladders, guards in a row, matches, conditional expressions. */
package driftwood.smell.see.chain;
