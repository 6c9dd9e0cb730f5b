package dev.patientharbor.declared;

import dev.patientharbor.names.NameLookup;

/**
 * A name under {@code within} that is no area and no class.
 *
 * @param profile the number of the profile that names it
 * @param name the name, looked up as a class
 */
public record UnknownPlace(int profile, NameLookup name) {}
