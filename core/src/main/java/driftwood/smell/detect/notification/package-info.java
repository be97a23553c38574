/** Routines that tell several others of one event. */
package driftwood.smell.detect.notification;
