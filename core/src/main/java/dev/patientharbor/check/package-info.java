/**
 * Tells what is wrong with resolved profiles: one small class for each rule, and the verdict over
 * all of them.
 *
 * <p>A rule only reads; a fact that it lacks belongs into {@code resolve}. {@link
 * dev.patientharbor.check.Verdict} is stable, the rules are internal.
 */
package dev.patientharbor.check;
