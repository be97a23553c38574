/** What ships beside the program, made from the same definitions that parse the command line: completion and the manual. */
package driftwood.cli.shell;
