/** Reads Python with tree-sitter into the common tree. Nothing here is loaded before the first Python file is read. */
package driftwood.read.python;
