/**
 * Turns a wiring into the records of {@code plan}: the roster that people read, and the assembly
 * that a rig builds by.
 *
 * <p>It decides nothing; it writes down what {@code wiring} decided. Internal: may change.
 */
package dev.patientharbor.rosters;
