/**
 * Looks up the names in what a file says, profile by profile: bindings, decorators, rules,
 * consumers, areas, keys.
 *
 * <p>It leaves to {@code inherited} what a profile takes over from its parents, and to {@code
 * rules} what is wrong with a name. Internal: may change.
 */
package dev.patientharbor.declared;
