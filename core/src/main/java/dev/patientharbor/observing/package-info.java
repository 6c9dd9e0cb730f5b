/**
 * Stable. What runs really used, as text that many processes write and one reads, and which answers
 * of the profiles nobody has met. It watches nothing itself; whoever builds objects tells it.
 */
package dev.patientharbor.observing;
