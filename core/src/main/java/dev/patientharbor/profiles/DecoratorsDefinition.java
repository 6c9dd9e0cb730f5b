package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.model.Decorator;
import dev.patientharbor.model.DecoratorStatement;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Says how the inherited decorators of a slot change. Drops come first, whatever the order. */
public final class DecoratorsDefinition {

    private final NameCollector names;
    private final Slot slot;
    private final SourcePosition at;
    private Optional<List<Decorator>> whole = Optional.empty();
    private final List<WrittenName> drop = new ArrayList<>();
    private final List<Decorator> innermost = new ArrayList<>();
    private final List<Decorator> outermost = new ArrayList<>();

    DecoratorsDefinition(NameCollector names, Slot slot, SourcePosition at) {
        this.names = names;
        this.slot = slot;
        this.at = at;
    }

    DecoratorsDefinition whole(DecoratorDefinition... outermostFirst) {
        whole = Optional.of(decorators(outermostFirst));
        return this;
    }

    private List<Decorator> decorators(DecoratorDefinition... wrappings) {
        return Arrays.stream(wrappings).map(decorator -> decorator.decorator(names, at)).toList();
    }

    /** Drops decorators of these classes. */
    public DecoratorsDefinition drop(Class<?>... types) {
        RequiredArgument.of(types, "types");
        drop.addAll(names.written(types, at));
        return this;
    }

    /**
     * Drops built-in decorators by their names, whatever values they were given.
     *
     * @param words of {@code delay}, {@code fail}, {@code spy}
     * @throws IllegalArgumentException for another word
     */
    public DecoratorsDefinition dropBuiltIn(String... words) {
        RequiredArgument.each(words, "words");
        for (String word : words) {
            if (!BuiltIn.NAMES.contains(word)) {
                throw new IllegalArgumentException(
                        word + " is not built in; there are delay, fail and spy");
            }
            drop.add(new WrittenName(word, at));
        }
        return this;
    }

    /** Adds decorators next to the core, outermost first. */
    public DecoratorsDefinition innermost(Class<?>... types) {
        return innermost(DecoratorDefinition.of(types));
    }

    /** Adds decorators next to the core, outermost first. */
    public DecoratorsDefinition innermost(DecoratorDefinition... wrappings) {
        RequiredArgument.each(wrappings, "wrappings");
        innermost.addAll(decorators(wrappings));
        return this;
    }

    /** Adds decorators around all others, outermost first. */
    public DecoratorsDefinition outermost(Class<?>... types) {
        return outermost(DecoratorDefinition.of(types));
    }

    /** Adds decorators around all others, outermost first. */
    public DecoratorsDefinition outermost(DecoratorDefinition... wrappings) {
        RequiredArgument.each(wrappings, "wrappings");
        outermost.addAll(decorators(wrappings));
        return this;
    }

    DecoratorStatement decoration() {
        return new DecoratorStatement(slot, whole, drop, innermost, outermost, at);
    }
}
