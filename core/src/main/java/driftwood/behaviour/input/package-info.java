/** Values worth trying: of the library, of the project, and those that the code compares with. */
package driftwood.behaviour.input;
