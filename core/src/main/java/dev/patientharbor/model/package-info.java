/**
 * What a user declares: profiles, bindings, supplies, decorators.
 *
 * <p>Plain immutable values that refuse nonsense at once; no files, no classes, no decisions. Names
 * of classes stand here as they were written; {@code declared} looks them up. Internal: may change.
 */
package dev.patientharbor.model;
