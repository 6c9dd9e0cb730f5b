/**
 * Looks for mistakes in a resolved set: one small class without state for each rule, all of them
 * listed in {@link dev.patientharbor.rules.RuleCatalog}.
 *
 * <p>A rule only reads; a fact that it lacks belongs into the rooms before it, a phrase that
 * another rule needs too into {@code ruling}. Internal: may change.
 */
package dev.patientharbor.rules;
