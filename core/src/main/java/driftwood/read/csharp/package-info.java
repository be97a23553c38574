/** Reads C#. */
package driftwood.read.csharp;
