package dev.patientharbor.assembly;

import dev.patientharbor.plan.Roster;
import dev.patientharbor.terms.Settings;
import dev.patientharbor.terms.Slot;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How the objects of one profile are made: the parts of the rig, which point at each other by their
 * numbers. No class is loaded for it. Immutable; may be used by several threads.
 */
public final class Assembly {

    private final Roster roster;
    private final List<AssemblyPart> parts;
    private final Map<Slot, Integer> bySlot;
    private final List<Integer> entries;
    private final Settings settings;
    private volatile Object prepared;

    /**
     * @param roster who receives what by it
     * @param parts the parts, by number from 0
     * @param bySlot the parts that a need of no area would receive, by their slots: those that are
     *     reached and those that are bound
     * @param entries the numbers of the entry consumers
     * @param settings what settings in values stand for
     */
    public Assembly(
            Roster roster,
            List<AssemblyPart> parts,
            Map<Slot, Integer> bySlot,
            List<Integer> entries,
            Settings settings) {
        this.roster = roster;
        this.parts = List.copyOf(parts);
        this.bySlot = Map.copyOf(bySlot);
        this.entries = List.copyOf(entries);
        this.settings = settings;
    }

    /** Returns this assembly with other parts in the places of its own. */
    public Assembly with(List<AssemblyPart> others) {
        return new Assembly(roster, others, bySlot, entries, settings);
    }

    /** Who receives what by it. */
    public Roster roster() {
        return roster;
    }

    /** The parts, by number from 0. */
    public List<AssemblyPart> parts() {
        return parts;
    }

    /** The number of the part that a need of no area would receive, if there is one. */
    public Optional<Integer> find(Slot slot) {
        return Optional.ofNullable(bySlot.get(slot));
    }

    /**
     * The slots that are meant by one as people write it: class names in full, or short, with the
     * class around a nested one ({@code Shop.Clock}) or without it.
     */
    public List<Slot> meantBy(Slot written) {
        List<Slot> known = parts.stream().map(AssemblyPart::slot).distinct().toList();
        if (known.contains(written)) {
            return List.of(written);
        }
        String text = written.text(name -> name.replace('$', '.'));
        return known.stream()
                .filter(
                        slot ->
                                slot.text(name -> name.replace('$', '.')).equals(text)
                                        || slot.text(Assembly::nested).equals(text)
                                        || slot.text(Assembly::innermost).equals(text))
                .toList();
    }

    private static String nested(String name) {
        return name.substring(name.lastIndexOf('.') + 1).replace('$', '.');
    }

    private static String innermost(String name) {
        String nested = nested(name);
        return nested.substring(nested.lastIndexOf('.') + 1);
    }

    /** The numbers of the entry consumers, in the order of the file. */
    public List<Integer> entries() {
        return entries;
    }

    /** What settings in values stand for. */
    public Settings settings() {
        return settings;
    }

    /** Returns what a builder worked out of it for all its rigs; null if there is none yet. */
    public Object prepared() {
        return prepared;
    }

    /**
     * Keeps what a builder worked out. Two threads may both do so, and one of the two stays.
     *
     * @param worked depends on nothing but the assembly and the builder
     */
    public void prepare(Object worked) {
        prepared = worked;
    }
}
