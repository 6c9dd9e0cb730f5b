/**
 * Joins what a profile says with what its parents say, so that one binding and one list of
 * decorators hold for each slot. It divides a set into sides, by the code that its profiles see,
 * and finds the entry consumers of each.
 *
 * <p>It does not decide what a need receives; that is for {@code wiring}. Internal: may change.
 */
package dev.patientharbor.inherited;
