/**
 * Code written at run time for a plan of which many rigs are built: it makes each object with
 * {@code new}, as one would by hand, instead of asking reflection to.
 */
package dev.patientharbor.straight;
