/**
 * Stable. What is new since the last check: findings that came and went, and who now receives
 * something else. When to check again is left to others.
 */
package dev.patientharbor.watching;
