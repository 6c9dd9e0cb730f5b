/**
 * The terms in which users speak and are answered: slots, keys, types, lifetimes, reaches, grounds.
 *
 * <p>Plain immutable values and enums. What a file says with them is in {@code model}, what a need
 * receives in {@code plan}. Stable.
 */
package dev.patientharbor.terms;
