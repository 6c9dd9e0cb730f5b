/**
 * Holds what every rule is given: the reporter, which puts each finding where it belongs, whom a
 * failure touches, the phrases that findings share, and the line that would mend something.
 *
 * <p>The rules themselves are in {@code rules}. Internal: may change.
 */
package dev.patientharbor.ruling;
