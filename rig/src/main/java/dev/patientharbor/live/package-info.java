/**
 * From data to the running Java: classes by name, and values that people wrote converted to
 * objects.
 *
 * <p>It knows nothing of rigs and stand-ins. Internal: may change.
 */
package dev.patientharbor.live;
