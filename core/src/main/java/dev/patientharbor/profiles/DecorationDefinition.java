package dev.patientharbor.profiles;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.model.Decoration;
import dev.patientharbor.model.Decorator;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.Written;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Says how the inherited decorators of a slot change. Drops come first, whatever the order. */
public final class DecorationDefinition {

    private final Names names;
    private final Slot slot;
    private final Where at;
    private Optional<List<Decorator>> whole = Optional.empty();
    private final List<Written> drop = new ArrayList<>();
    private final List<Decorator> innermost = new ArrayList<>();
    private final List<Decorator> outermost = new ArrayList<>();

    DecorationDefinition(Names names, Slot slot, Where at) {
        this.names = names;
        this.slot = slot;
        this.at = at;
    }

    DecorationDefinition whole(Wrapping... outermostFirst) {
        whole = Optional.of(decorators(outermostFirst));
        return this;
    }

    private List<Decorator> decorators(Wrapping... wrappings) {
        return Arrays.stream(wrappings).map(one -> one.decorator(names, at)).toList();
    }

    /** Drops decorators of these classes. */
    public DecorationDefinition drop(Class<?>... types) {
        drop.addAll(names.written(types, at));
        return this;
    }

    /**
     * Drops built-in decorators, whatever they were told.
     *
     * @param words of {@code delay}, {@code fail}, {@code spy}
     * @throws IllegalArgumentException for another word
     */
    public DecorationDefinition dropBuiltIn(String... words) {
        for (String word : words) {
            if (!BuiltIn.NAMES.contains(word)) {
                throw new IllegalArgumentException(
                        word + " is not built in; there are delay, fail and spy");
            }
            drop.add(new Written(word, at));
        }
        return this;
    }

    /** Adds decorators next to the core, outermost first. */
    public DecorationDefinition innermost(Class<?>... types) {
        return innermost(Wrapping.of(types));
    }

    /** Adds decorators next to the core, outermost first. */
    public DecorationDefinition innermost(Wrapping... wrappings) {
        innermost.addAll(decorators(wrappings));
        return this;
    }

    /** Adds decorators around all others, outermost first. */
    public DecorationDefinition outermost(Class<?>... types) {
        return outermost(Wrapping.of(types));
    }

    /** Adds decorators around all others, outermost first. */
    public DecorationDefinition outermost(Wrapping... wrappings) {
        outermost.addAll(decorators(wrappings));
        return this;
    }

    Decoration decoration() {
        return new Decoration(slot, whole, drop, innermost, outermost, at);
    }
}
