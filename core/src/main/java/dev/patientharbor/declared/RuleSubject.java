package dev.patientharbor.declared;

import dev.patientharbor.model.Demand;
import java.util.Optional;

/**
 * What a rule is about.
 *
 * @param slot the number of the slot in the whole profile, if it is of one and its names are known
 */
public record RuleSubject(Demand.Kind kind, Optional<Integer> slot) {}
