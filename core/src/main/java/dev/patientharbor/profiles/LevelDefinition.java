package dev.patientharbor.profiles;

import dev.patientharbor.finding.RequiredArgument;
import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Reach;
import dev.patientharbor.model.Slot;
import dev.patientharbor.model.Words;
import dev.patientharbor.model.Written;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Says what holds at one level: in a profile as a whole, in an area, or for one consumer. The line
 * of each call is the place that findings name. Not for several threads.
 */
public class LevelDefinition {

    private final Names names;
    private final List<Binding> bindings = new ArrayList<>();
    private final List<DecorationDefinition> decorations = new ArrayList<>();
    private final List<Reach> reaches = new ArrayList<>();

    LevelDefinition(Names names) {
        this.names = names;
    }

    Names names() {
        return names;
    }

    /** Fills the plain slot of a contract. */
    public void fill(Class<?> contract, Filling filling) {
        fill(names.slot(contract), filling, Positions.here());
    }

    /** Fills a keyed slot of a contract. */
    public void fill(Class<?> contract, String key, Filling filling) {
        fill(names.slot(contract, key), filling, Positions.here());
    }

    /**
     * Fills a slot that is written as in a file, such as {@code ManifestReader<Ship>}.
     *
     * @throws IllegalArgumentException if the text is no slot
     */
    public void fill(String slot, Filling filling) {
        fill(Names.slot(slot), filling, Positions.here());
    }

    private void fill(Slot slot, Filling filling, Where at) {
        RequiredArgument.of(filling, "what is to fill " + slot.text());
        bindings.add(filling.binding(slot, names, at));
    }

    /** Puts decorators around whatever fills a slot, outermost first: the whole list. */
    public void decorate(Class<?> contract, Class<?>... outermostFirst) {
        decorations.add(
                new DecorationDefinition(names, names.slot(contract), Positions.here())
                        .whole(Wrapping.of(outermostFirst)));
    }

    /** Puts decorators around whatever fills a slot, outermost first, built-in ones among them. */
    public void decorate(Class<?> contract, Wrapping... outermostFirst) {
        decorations.add(
                new DecorationDefinition(names, names.slot(contract), Positions.here())
                        .whole(outermostFirst));
    }

    /** The same for a slot that is written as in a file. */
    public void decorate(String slot, Wrapping... outermostFirst) {
        decorations.add(
                new DecorationDefinition(names, Names.slot(slot), Positions.here())
                        .whole(outermostFirst));
    }

    /** Puts decorators around a slot that is written as in a file, such as {@code Feed@*}. */
    public void decorate(String slot, Class<?>... outermostFirst) {
        decorations.add(
                new DecorationDefinition(names, Names.slot(slot), Positions.here())
                        .whole(Wrapping.of(outermostFirst)));
    }

    /** Changes the inherited decorators of a contract: the answer is asked what to change. */
    public DecorationDefinition decorators(Class<?> contract) {
        return added(new DecorationDefinition(names, names.slot(contract), Positions.here()));
    }

    /** Changes the inherited decorators of a slot that is written as in a file. */
    public DecorationDefinition decorators(String slot) {
        return added(new DecorationDefinition(names, Names.slot(slot), Positions.here()));
    }

    private DecorationDefinition added(DecorationDefinition decoration) {
        decorations.add(decoration);
        return decoration;
    }

    /**
     * Limits where a need looks.
     *
     * @param need its name, or its slot as text
     * @param range all but {@link Reach.Range#UP_TO}
     * @throws IllegalArgumentException for {@code UP_TO}, which wants an area
     */
    public void reach(String need, Reach.Range range) {
        if (range == Reach.Range.UP_TO) {
            throw new IllegalArgumentException("up to which area? use reachUpTo(need, area)");
        }
        reaches.add(new Reach(new Written(need, Positions.here()), range, Optional.empty()));
    }

    /** Lets a need look outward as far as an area. */
    public void reachUpTo(String need, String area) {
        Where at = Positions.here();
        reaches.add(
                new Reach(
                        new Written(need, at),
                        Reach.Range.UP_TO,
                        Optional.of(new Written(area, at))));
    }

    Words words() {
        return new Words(
                bindings,
                decorations.stream().map(DecorationDefinition::decoration).toList(),
                reaches);
    }
}
