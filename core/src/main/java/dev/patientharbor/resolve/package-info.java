/**
 * Takes a set through the rooms in their order: names, needs, what is declared, what is inherited,
 * wiring. {@link dev.patientharbor.resolve.ResolvedSet} is what comes out, and what rules read.
 *
 * <p>It leaves facts only; what is wrong with them is for {@code rules} to say. Internal: may
 * change.
 */
package dev.patientharbor.resolve;
