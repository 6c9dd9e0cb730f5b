package dev.patientharbor.model;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.DemandKind;
import dev.patientharbor.terms.Slot;
import java.util.Optional;

/**
 * A rule of a parent that a profile, and all that extend it, need not keep.
 *
 * @param kind what the rule demands
 * @param slot of which slot; empty if the rule is of every slot
 * @param because why
 * @param at where it stands
 */
public record Loosening(DemandKind kind, Optional<Slot> slot, String because, SourcePosition at) {
    public Loosening {
        if (because.isBlank()) {
            throw new IllegalArgumentException("a rule is loosened without a reason");
        }
    }
}
