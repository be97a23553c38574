/** The command line: the one place that prints, parses arguments and exits. */
package driftwood.cli;
