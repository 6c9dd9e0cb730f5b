/**
 * Mocks of a rig made by Mockito, classes included. There is nothing to call: on the class path it
 * is found, and Mockito's own {@code when} and {@code verify} work on what {@code mock} supplies.
 *
 * <p>Internal: may change.
 */
package dev.patientharbor.mockito;
