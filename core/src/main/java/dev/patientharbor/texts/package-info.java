/**
 * Texts for people, and what they need: lists of names, names that are near, what was read made
 * visible, and arguments that may not be null.
 *
 * <p>Knows nothing of the tool; every other package may use it. Internal: may change.
 */
package dev.patientharbor.texts;
