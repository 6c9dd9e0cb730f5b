/**
 * What makes the tool start quickly: a copy of its jar for the launcher, in which what the virtual
 * machine would otherwise write at each start is written down.
 *
 * <p>Knows nothing of bindings, nor of the tool.
 */
package dev.patientharbor.start;
