package dev.patientharbor.wiring;

import dev.patientharbor.declared.ResolvedReach;
import dev.patientharbor.needs.BindingLevel;
import java.util.List;
import java.util.Optional;

/**
 * Where a need is looked for.
 *
 * @param outward all levels from the consumer outward, nearest first
 * @param searched those of them that are looked at
 * @param reach what keeps it from the others, if anything does
 */
public record SearchedLevels(
        List<BindingLevel> outward, List<BindingLevel> searched, Optional<ResolvedReach> reach) {}
