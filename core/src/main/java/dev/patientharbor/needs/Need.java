package dev.patientharbor.needs;

import dev.patientharbor.plan.NeedPlace;

/**
 * One place where a class asks for something.
 *
 * @param place where
 * @param name the name of the parameter or field
 * @param slot the number of the slot that it asks for
 */
public record Need(NeedPlace place, String name, int slot) {}
