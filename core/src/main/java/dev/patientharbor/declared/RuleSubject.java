package dev.patientharbor.declared;

import dev.patientharbor.terms.DemandKind;
import java.util.Optional;

/**
 * What a rule is about.
 *
 * @param slot the number of the slot in the whole profile, if it is of one and its names are known
 */
public record RuleSubject(DemandKind kind, Optional<Integer> slot) {}
