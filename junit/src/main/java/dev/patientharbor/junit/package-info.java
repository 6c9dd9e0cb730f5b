/**
 * Tests that name the profile under which they run: an extension of JUnit 5.
 *
 * <p>{@link dev.patientharbor.junit.Harbor} says where the profiles are, {@link
 * dev.patientharbor.junit.UnderProfile}, {@link dev.patientharbor.junit.EachProfile} and {@link
 * dev.patientharbor.junit.EachImplementation} say what a test runs under, {@link
 * dev.patientharbor.junit.FromRig} and {@link dev.patientharbor.junit.SwappedIn} what it is given
 * and what it gives. What rigs are is known by {@code rig}. Stable.
 */
package dev.patientharbor.junit;
