/** How fast it is, as ratios to a yardstick in the same run. Not released. */
package dev.patientharbor.benchmarks;
