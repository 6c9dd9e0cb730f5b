package dev.patientharbor.model;

import dev.patientharbor.terms.ReachRange;
import dev.patientharbor.terms.WrittenName;
import java.util.Optional;

/**
 * How far a need may look.
 *
 * @param need the name of a need, or a slot, as written; the name wins where both fit
 * @param range how far
 * @param upTo the outermost area that is looked at; only for {@link ReachRange#UP_TO}
 */
public record Reach(WrittenName need, ReachRange range, Optional<WrittenName> upTo) {}
