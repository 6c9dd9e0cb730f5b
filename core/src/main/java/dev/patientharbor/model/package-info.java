/**
 * What a user declares: profiles, bindings, supplies, decorators, and the slots they speak of.
 *
 * <p>Plain immutable values that refuse nonsense at once; no files, no classes, no decisions. Names
 * of classes stand here as they were written; {@code resolve} looks them up. Stable.
 */
package dev.patientharbor.model;
