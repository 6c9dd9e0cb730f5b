/**
 * Surveys code: finds hard-wired construction and what reaches outside, from what bodies do.
 *
 * <p>Knows nothing of profiles. Internal: may change.
 */
package dev.patientharbor.surveying;
