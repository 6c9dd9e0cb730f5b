/**
 * From data to the running Java and back: classes by name, values that people wrote converted to
 * objects, and objects as people read them.
 *
 * <p>It knows nothing of rigs and stand-ins. Internal: may change.
 */
package dev.patientharbor.live;
