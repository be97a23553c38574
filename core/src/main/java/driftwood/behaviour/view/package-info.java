/** What a client can see of types: the routines it may call, the queries it may ask, the ways to make an object. */
package driftwood.behaviour.view;
