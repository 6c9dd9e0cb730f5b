/**
 * How the objects of one profile are made, as data: parts, what makes each, what it is handed.
 *
 * <p>No class is loaded for it, and it decides nothing. {@code rosters} makes it, a rig builds by
 * it. Internal: may change.
 */
package dev.patientharbor.assembly;
