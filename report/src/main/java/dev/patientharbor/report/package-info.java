/**
 * Writes what a check found: text for people, JSON for programs, each by one renderer from the same
 * verdict.
 *
 * <p>Decides nothing and prints nothing: a renderer returns text. Equal verdicts give equal bytes.
 * Stable.
 */
package dev.patientharbor.report;
