/**
 * The whole answer for one profile, as data: each need and what it receives.
 *
 * <p>No class is loaded for it, and it decides nothing; {@code rosters} makes it, everything after
 * reads it. Stable.
 */
package dev.patientharbor.plan;
