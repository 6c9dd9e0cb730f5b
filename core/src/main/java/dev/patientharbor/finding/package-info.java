/**
 * What the tool tells its user: findings, where they stand and how grave they are.
 *
 * <p>Knows nothing of profiles or classes; every other package may use it. Stable.
 */
package dev.patientharbor.finding;
