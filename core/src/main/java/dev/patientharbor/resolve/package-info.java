/**
 * Decides what fills each slot of each profile: names are looked up, profiles flattened, needs read
 * and followed.
 *
 * <p>Leaves facts only; what is wrong with them is told by {@code check}. Nothing here is quadratic
 * in consumers, and nothing recurses along the object graph. Internal: may change.
 */
package dev.patientharbor.resolve;
