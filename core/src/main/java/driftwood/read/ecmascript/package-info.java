/** Reads JavaScript and TypeScript: one set of rules, two grammars. */
package driftwood.read.ecmascript;
