package dev.patientharbor.profiles;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Area;
import dev.patientharbor.model.Written;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Says which consumers an area has, and in which area it lies. */
public final class AreaDefinition {

    private final String name;
    private final Names names;
    private final Where at;
    private Optional<Written> inside = Optional.empty();
    private final List<Written> members = new ArrayList<>();

    AreaDefinition(String name, Names names, Where at) {
        this.name = name;
        this.names = names;
        this.at = at;
    }

    /** It lies inside another area. */
    public AreaDefinition inside(String area) {
        inside = Optional.of(new Written(area, Positions.here()));
        return this;
    }

    /** These classes belong to it. */
    public AreaDefinition members(Class<?>... consumers) {
        members.addAll(names.written(consumers, Positions.here()));
        return this;
    }

    /** These classes, or patterns such as {@code gullwing.quay.*}, belong to it. */
    public AreaDefinition members(String... consumers) {
        members.addAll(Names.written(consumers, Positions.here()));
        return this;
    }

    Area area() {
        return new Area(name, inside, members, at);
    }
}
