/**
 * The whole answer for one profile, as data: each need and what it gets.
 *
 * <p>No class is loaded for it, and it decides nothing; {@code resolve} makes it, everything after
 * reads it. Stable.
 */
package dev.patientharbor.plan;
