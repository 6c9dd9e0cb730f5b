package dev.patientharbor.model;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.WrittenName;
import java.util.List;
import java.util.Optional;

/**
 * A named region of consumers, in which bindings may hold that hold nowhere else.
 *
 * @param name its name
 * @param inside the area that encloses it, if one does
 * @param members class names, and patterns such as {@code port.*} and {@code port.**}
 * @param at where it stands
 */
public record Area(
        String name, Optional<WrittenName> inside, List<WrittenName> members, SourcePosition at) {
    public Area {
        members = List.copyOf(members);
    }
}
