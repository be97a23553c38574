/** How results look: text for terminals, JSON for programs. */
package driftwood.cli.render;
