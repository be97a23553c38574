/** The ground that recipes for Python stand on: syntax with offsets, names, calls, decisions. */
package driftwood.refactor.python.ground;
