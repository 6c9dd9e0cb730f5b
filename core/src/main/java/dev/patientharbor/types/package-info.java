/**
 * Answers questions about types from facts alone: what fits what, what wraps what, which methods a
 * contract has, which types are those of values.
 *
 * <p>Knows no profile and no binding; those are left to {@code resolve}. Internal: may change.
 */
package dev.patientharbor.types;
