package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.LevelStatements;
import dev.patientharbor.model.Reach;
import dev.patientharbor.terms.ReachRange;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Says what holds at one level: in a profile as a whole, in an area, or for one consumer. The line
 * of each call is the place that findings name. Not for several threads.
 */
public class LevelDefinition {

    private final NameCollector names;
    private final List<Binding> bindings = new ArrayList<>();
    private final List<DecoratorsDefinition> decorations = new ArrayList<>();
    private final List<Reach> reaches = new ArrayList<>();

    LevelDefinition(NameCollector names) {
        this.names = names;
    }

    NameCollector names() {
        return names;
    }

    /** Fills the plain slot of a contract. */
    public void fill(Class<?> contract, SupplyDefinition supply) {
        fill(names.slot(contract), supply, CallerPositions.here());
    }

    /** Fills a keyed slot of a contract. */
    public void fill(Class<?> contract, String key, SupplyDefinition supply) {
        fill(names.slot(contract, key), supply, CallerPositions.here());
    }

    /**
     * Fills a slot that is written as in a file, such as {@code ManifestReader<Ship>}.
     *
     * @throws IllegalArgumentException if the text is no slot
     */
    public void fill(String slot, SupplyDefinition supply) {
        fill(NameCollector.slot(slot), supply, CallerPositions.here());
    }

    private void fill(Slot slot, SupplyDefinition supply, SourcePosition at) {
        RequiredArgument.of(supply, "what is to fill " + slot.text());
        bindings.add(supply.binding(slot, names, at));
    }

    /** Puts decorators around whatever fills a slot, outermost first: the whole list. */
    public void decorate(Class<?> contract, Class<?>... outermostFirst) {
        RequiredArgument.of(outermostFirst, "outermostFirst");
        decorations.add(
                new DecoratorsDefinition(names, names.slot(contract), CallerPositions.here())
                        .whole(DecoratorDefinition.of(outermostFirst)));
    }

    /** Puts decorators around whatever fills a slot, outermost first, built-in ones among them. */
    public void decorate(Class<?> contract, DecoratorDefinition... outermostFirst) {
        RequiredArgument.each(outermostFirst, "outermostFirst");
        decorations.add(
                new DecoratorsDefinition(names, names.slot(contract), CallerPositions.here())
                        .whole(outermostFirst));
    }

    /** Lists the decorators of a slot that is written as in a file. */
    public void decorate(String slot, DecoratorDefinition... outermostFirst) {
        RequiredArgument.each(outermostFirst, "outermostFirst");
        decorations.add(
                new DecoratorsDefinition(names, NameCollector.slot(slot), CallerPositions.here())
                        .whole(outermostFirst));
    }

    /** Puts decorators around a slot that is written as in a file, such as {@code Feed@*}. */
    public void decorate(String slot, Class<?>... outermostFirst) {
        RequiredArgument.of(outermostFirst, "outermostFirst");
        decorations.add(
                new DecoratorsDefinition(names, NameCollector.slot(slot), CallerPositions.here())
                        .whole(DecoratorDefinition.of(outermostFirst)));
    }

    /** Changes the inherited decorators of a contract: the answer is asked what to change. */
    public DecoratorsDefinition decorators(Class<?> contract) {
        return added(new DecoratorsDefinition(names, names.slot(contract), CallerPositions.here()));
    }

    /** Changes the inherited decorators of a slot that is written as in a file. */
    public DecoratorsDefinition decorators(String slot) {
        return added(
                new DecoratorsDefinition(names, NameCollector.slot(slot), CallerPositions.here()));
    }

    private DecoratorsDefinition added(DecoratorsDefinition decoration) {
        decorations.add(decoration);
        return decoration;
    }

    /**
     * Limits where a need looks.
     *
     * @param need its name, or its slot as text
     * @param range all but {@link ReachRange#UP_TO}
     * @throws IllegalArgumentException for {@code UP_TO}, which wants an area
     */
    public void reach(String need, ReachRange range) {
        RequiredArgument.of(range, "range");
        if (range == ReachRange.UP_TO) {
            throw new IllegalArgumentException("up to which area? use reachUpTo(need, area)");
        }
        reaches.add(
                new Reach(new WrittenName(need, CallerPositions.here()), range, Optional.empty()));
    }

    /** Lets a need look outward as far as an area. */
    public void reachUpTo(String need, String area) {
        SourcePosition at = CallerPositions.here();
        reaches.add(
                new Reach(
                        new WrittenName(need, at),
                        ReachRange.UP_TO,
                        Optional.of(new WrittenName(area, at))));
    }

    LevelStatements words() {
        return new LevelStatements(
                bindings,
                decorations.stream().map(DecoratorsDefinition::decoration).toList(),
                reaches);
    }
}
