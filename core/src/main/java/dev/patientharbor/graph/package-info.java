/** Stable. The objects of a profile and who holds whom, as nodes and edges. Data alone. */
package dev.patientharbor.graph;
