/**
 * Decides what fills each slot of a profile, and follows the needs from the entry consumers to
 * everything that they reach.
 *
 * <p>Nothing here is quadratic in consumers, and nothing recurses along the object graph. What is
 * wrong is for {@code rules} to say. Internal: may change.
 */
package dev.patientharbor.wiring;
