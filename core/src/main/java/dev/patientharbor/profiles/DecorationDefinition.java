package dev.patientharbor.profiles;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Decoration;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.Written;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Says how the inherited decorators of a slot change. Drops come first, whatever the order. */
public final class DecorationDefinition {

    private final Names names;
    private final Slot slot;
    private final Where at;
    private Optional<List<Written>> whole = Optional.empty();
    private final List<Written> drop = new ArrayList<>();
    private final List<Written> innermost = new ArrayList<>();
    private final List<Written> outermost = new ArrayList<>();

    DecorationDefinition(Names names, Slot slot, Where at) {
        this.names = names;
        this.slot = slot;
        this.at = at;
    }

    DecorationDefinition whole(Class<?>... outermostFirst) {
        whole = Optional.of(names.written(outermostFirst, at));
        return this;
    }

    /** Drops decorators of these classes. */
    public DecorationDefinition drop(Class<?>... types) {
        drop.addAll(names.written(types, at));
        return this;
    }

    /** Adds decorators next to the core, outermost first. */
    public DecorationDefinition innermost(Class<?>... types) {
        innermost.addAll(names.written(types, at));
        return this;
    }

    /** Adds decorators around all others, outermost first. */
    public DecorationDefinition outermost(Class<?>... types) {
        outermost.addAll(names.written(types, at));
        return this;
    }

    Decoration decoration() {
        return new Decoration(slot, whole, drop, innermost, outermost, at);
    }
}
