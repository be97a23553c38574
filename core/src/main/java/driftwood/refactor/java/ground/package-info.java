/** The ground that recipes for Java stand on: the attributed project, captures of code, calls, small moves. */
package driftwood.refactor.java.ground;
