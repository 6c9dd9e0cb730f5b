/**
 * The one door to the disk: reads files that are files, up to a limit each, and writes one so that
 * a failure leaves the old one. Knows nothing of what they hold; that is left to who reads them.
 *
 * <p>Internal: may change.
 */
package dev.patientharbor.files;
