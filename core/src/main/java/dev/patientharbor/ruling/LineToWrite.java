package dev.patientharbor.ruling;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.terms.DemandKind;
import dev.patientharbor.terms.ImplementationKind;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef.ClassType;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The line that would fill a slot in a profile, as the set is written: in a file, or in Java. */
public final class LineToWrite {

    private final ResolvedSet set;
    private final FindingWording wording;

    LineToWrite(ResolvedSet set, FindingWording wording) {
        this.set = set;
        this.wording = wording;
    }

    /**
     * What could fill a slot in a profile, the best first: a class that carries its key; any other
     * one that carries no other key; a stand-in, where the profile may have some.
     */
    public List<String> supplies(Slot slot, ResolvedProfile profile) {
        List<String> real = new ArrayList<>();
        List<String> unreal = new ArrayList<>();
        for (String name : wording.implementations(slot.contract())) {
            Optional<Key> own = set.markedKey(name);
            if (slot.key().isPresent() && own.isPresent() && !own.equals(slot.key())) {
                continue;
            }
            Optional<ImplementationKind> standIn = set.bindingsAnywhere().standIn(name);
            if (standIn.isPresent()) {
                unreal.add(supply(standIn.get(), name));
            } else if (slot.key().isPresent() && own.equals(slot.key())) {
                real.add(0, supply(ImplementationKind.REAL, name));
            } else {
                real.add(supply(ImplementationKind.REAL, name));
            }
        }
        if (mayStandIn(profile, slot)) {
            real.addAll(unreal);
            if (canBeMocked(slot)) {
                real.add(isInJava() ? "mock()" : "mock");
            }
        }
        return real;
    }

    private boolean isInJava() {
        return set.isDefinedInJava();
    }

    private String supply(ImplementationKind kind, String name) {
        if (isInJava()) {
            return kind.word() + '(' + wording.shortName(name) + ".class)";
        }
        String text = set.names().toWrite(name);
        return !kind.isStandIn() ? text : "{ " + kind.word() + ": " + text + " }";
    }

    /** Whether no rule of a profile wants the real thing there. */
    private boolean mayStandIn(ResolvedProfile profile, Slot slot) {
        return profile.demands().stream()
                .noneMatch(
                        demand ->
                                demand.declared().kind() == DemandKind.NO_STAND_INS
                                        || demand.declared().kind() == DemandKind.MUST_BE_REAL
                                                && demand.slot()
                                                        .map(it -> set.slots().slot(it).contract())
                                                        .filter(slot.contract()::equals)
                                                        .isPresent());
    }

    /** A mock can be made of every interface that is not sealed. */
    private boolean canBeMocked(Slot slot) {
        return slot.contract() instanceof ClassType type
                && set.code()
                        .find(type.name())
                        .filter(ClassFacts::isInterface)
                        .filter(facts -> !facts.isSealed())
                        .isPresent();
    }

    /**
     * The line; empty if nothing that is known could stand there.
     *
     * @param sameAs the slot to be the same as, if there is one: it comes before any class
     * @param profile the profile in which it is to be written
     */
    public Optional<String> fill(Slot slot, Optional<Slot> sameAs, ResolvedProfile profile) {
        String name = profile.declared().name();
        return fill(
                slot,
                sameAs,
                profile,
                isInJava() ? "in the profile " + name : "under " + name + " › bindings");
    }

    /** Returns the line that would fill a slot, to be written at a given place. */
    public Optional<String> fill(
            Slot slot, Optional<Slot> sameAs, ResolvedProfile profile, String place) {
        Optional<String> supply =
                sameAs.map(named -> isInJava() ? "sameAs(" + inJava(named) + ")" : inFile(named))
                        .or(() -> supplies(slot, profile).stream().findFirst());
        return supply.map(
                text ->
                        (isInJava()
                                        ? "fill(" + inJava(slot) + ", " + text + ")"
                                        : wording.toWrite(slot) + ": " + text)
                                + "     "
                                + place);
    }

    private String inFile(Slot sameAs) {
        return "{ same-as: " + wording.toWrite(sameAs) + " }";
    }

    /** What to do where no line is known. */
    public String otherwise(Slot slot) {
        return "write a class that is a "
                + set.names().toWrite(SlotTable.className(slot.contract()))
                + " and can be made, and bind it; or bind a factory or a value";
    }

    private String inJava(Slot slot) {
        boolean plain =
                slot.contract() instanceof ClassType type
                        && type.arguments().isEmpty()
                        && slot.key().filter(key -> !key.qualifier().isEmpty()).isEmpty();
        return plain
                ? wording.shortName(((ClassType) slot.contract()).name())
                        + ".class"
                        + slot.key().map(Key::text).map(key -> ", \"" + key + "\"").orElse("")
                : '"' + slot.text(set.names()::toWrite) + '"';
    }
}
