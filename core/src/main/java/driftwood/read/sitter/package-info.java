/** Reads any language that has a grammar for the parser: trees of plain nodes, offsets, tables of rules, unread regions. */
package driftwood.read.sitter;
