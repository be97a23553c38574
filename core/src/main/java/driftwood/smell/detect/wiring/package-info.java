/** Who creates whom: collaborators, holders of resources, wrapped objects. */
package driftwood.smell.detect.wiring;
