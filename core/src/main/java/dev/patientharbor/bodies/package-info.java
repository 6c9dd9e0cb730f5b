/**
 * What the bodies of classes do with objects: where they come from, and what becomes of them.
 *
 * <p>Read only when a question needs it, in one pass over a class file, by the analysis of the
 * bytecode library. Knows nothing of bindings. Internal: may change.
 */
package dev.patientharbor.bodies;
