/**
 * Patterns: one class each, with what it is, when to leave it, how well it fits a finding, and how a plan with it
 * looks.
 */
package driftwood.pattern;
