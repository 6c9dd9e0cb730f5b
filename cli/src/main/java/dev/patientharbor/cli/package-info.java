/**
 * The command-line tool: takes arguments, calls the core, prints one rendering, returns a code.
 *
 * <p>The only package that prints, exits or knows of terminals. Decides nothing about bindings.
 */
package dev.patientharbor.cli;
