/**
 * Values that people write down: whether they convert to a type, what settings stand in them, and
 * whether a contract can take them as answers.
 *
 * <p>Nothing is converted for good and nothing is printed: that is left to those who build objects.
 * Internal: may change.
 */
package dev.patientharbor.values;
