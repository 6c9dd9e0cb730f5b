/**
 * Internal: may change. What the archive of the tool has beside it: manual pages and the script by
 * which shells complete. Both are made from the commands by the argument library.
 */
package dev.patientharbor.archive;
