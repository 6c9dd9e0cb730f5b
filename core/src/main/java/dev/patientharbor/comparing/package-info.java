/** Stable. What differs between two rosters: rows, each with both sides, and who feels it. */
package dev.patientharbor.comparing;
