/**
 * What users meet of stand-ins: the calls that one received, the answers of a mock that nobody
 * taught, and the door for those who make mocks another way.
 *
 * <p>What a stand-in does is in {@code behaviours}. Stable.
 */
package dev.patientharbor.standins;
