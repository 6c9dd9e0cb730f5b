/**
 * Internal: may change. Follows the values of a method that wires by hand: runs its bytecode with
 * values that stand for objects, and loads no class.
 */
package dev.patientharbor.tracing;
