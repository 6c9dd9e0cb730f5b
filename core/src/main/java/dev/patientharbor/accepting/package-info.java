/**
 * Stable. A roster that people have accepted, as text for reviews, and what has changed since. Its
 * lines are made from rosters alone.
 */
package dev.patientharbor.accepting;
