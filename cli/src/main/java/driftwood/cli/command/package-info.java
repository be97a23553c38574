/** The commands, one class each. */
package driftwood.cli.command;
