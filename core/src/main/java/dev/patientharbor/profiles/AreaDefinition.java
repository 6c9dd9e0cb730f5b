package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Area;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Says which consumers an area has, and in which area it lies. */
public final class AreaDefinition {

    private final String name;
    private final NameCollector names;
    private final SourcePosition at;
    private Optional<WrittenName> inside = Optional.empty();
    private final List<WrittenName> members = new ArrayList<>();

    AreaDefinition(String name, NameCollector names, SourcePosition at) {
        this.name = name;
        this.names = names;
        this.at = at;
    }

    /** Puts this area inside another one. */
    public AreaDefinition inside(String area) {
        inside = Optional.of(new WrittenName(area, CallerPositions.here()));
        return this;
    }

    /** Adds classes to the area. */
    public AreaDefinition members(Class<?>... consumers) {
        RequiredArgument.of(consumers, "consumers");
        members.addAll(names.written(consumers, CallerPositions.here()));
        return this;
    }

    /** Adds classes, or patterns such as {@code gullwing.quay.*}, to the area. */
    public AreaDefinition members(String... consumers) {
        RequiredArgument.of(consumers, "consumers");
        members.addAll(NameCollector.written(consumers, CallerPositions.here()));
        return this;
    }

    Area area() {
        return new Area(name, inside, members, at);
    }
}
