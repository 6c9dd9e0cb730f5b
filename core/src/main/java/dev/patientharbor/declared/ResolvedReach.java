package dev.patientharbor.declared;

import dev.patientharbor.model.Reach;
import dev.patientharbor.needs.BindingLevel;
import java.util.Optional;

/**
 * How far some needs may look, names looked up.
 *
 * @param declared what was declared
 * @param level the level at which it was said
 * @param slot the number of the slot, if it names one
 * @param upTo the level of the outermost area that is looked at, for that range
 */
public record ResolvedReach(
        Reach declared, BindingLevel level, Optional<Integer> slot, Optional<BindingLevel> upTo) {}
