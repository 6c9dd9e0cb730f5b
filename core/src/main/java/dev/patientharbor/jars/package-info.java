/**
 * Reads jars (ZIP, APPNOTE 6.3): the directory at their end as it stands there, and the files in
 * them. What the files are is left to {@code code}.
 *
 * <p>Internal: may change.
 */
package dev.patientharbor.jars;
