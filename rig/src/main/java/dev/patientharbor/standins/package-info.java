/**
 * Objects that stand in for a contract: mocks, stubs with canned answers, and spies, with the
 * record of their calls.
 *
 * <p>It knows contracts and answers, and nothing of profiles and rigs. {@link
 * dev.patientharbor.standins.StandInMaker} is for those who make mocks another way, and is stable
 * with {@link dev.patientharbor.standins.Call}; the rest may change.
 */
package dev.patientharbor.standins;
