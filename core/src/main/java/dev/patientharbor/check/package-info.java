/**
 * Checks a set: it runs the rules, leaves out the findings that are suppressed, and gives a verdict
 * and the coverage.
 *
 * <p>It knows no rule by itself; these are in {@code rules}. {@link
 * dev.patientharbor.check.Verdict} and what it returns are what users meet. Stable.
 */
package dev.patientharbor.check;
