/**
 * What the tool reports to its user: findings, where they stand and how grave they are.
 *
 * <p>Knows nothing of profiles or classes; every package but {@code texts} may use it. Stable.
 */
package dev.patientharbor.finding;
