/**
 * Internal: may change. Says in slots and levels what a hand wiring does, and holds a roster
 * against it.
 */
package dev.patientharbor.drafting;
