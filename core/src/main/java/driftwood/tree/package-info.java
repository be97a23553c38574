/**
 * The common tree: one node kind a file, each showing the source it stands for. Readers build it, detectors look at it.
 * A node that no language shares becomes {@link driftwood.tree.Other}, which keeps its parts.
 */
package driftwood.tree;
