package dev.patientharbor.declared;

import dev.patientharbor.model.Binding;
import dev.patientharbor.model.SupplyEffect;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.types.FitResult;
import dev.patientharbor.values.AnswerFault;
import java.util.List;
import java.util.Optional;

/** A binding with all its names looked up. Two are equal only if they are the same one. */
public final class ResolvedBinding {

    private final Binding declared;
    private final int owner;
    private final int place;
    private final List<NameLookup> names;
    private final Optional<Integer> slot;
    private final Optional<Integer> target;
    private final Optional<NameLookup> implementation;
    private final Optional<FitResult> fit;
    private final Optional<Blueprint> blueprint;
    private final List<Integer> members;
    private final List<ValueFault> valueFaults;
    private final List<AnswerFault> answerFaults;
    private final Optional<ResolvedBinding> binds;

    ResolvedBinding(
            Binding declared,
            int owner,
            int place,
            List<NameLookup> names,
            Optional<Integer> slot,
            Optional<Integer> target,
            Optional<NameLookup> implementation,
            Optional<FitResult> fit,
            Optional<Blueprint> blueprint,
            List<Integer> members,
            List<ValueFault> valueFaults,
            List<AnswerFault> answerFaults) {
        this.answerFaults = List.copyOf(answerFaults);
        this.members = List.copyOf(members);
        this.valueFaults = List.copyOf(valueFaults);
        this.declared = declared;
        this.owner = owner;
        this.place = place;
        this.names = List.copyOf(names);
        this.slot = slot;
        this.target = target;
        this.implementation = implementation;
        this.fit = fit;
        this.blueprint = blueprint;
        binds =
                declared.supply().effect() == SupplyEffect.REMOVES
                        ? Optional.empty()
                        : Optional.of(this);
    }

    /** Returns this binding; empty if it takes a binding away. */
    public Optional<ResolvedBinding> binds() {
        return binds;
    }

    public Binding declared() {
        return declared;
    }

    /** The number of the profile in which it stands. */
    public int owner() {
        return owner;
    }

    /** Its place among the bindings of the profile, from 0. */
    public int place() {
        return place;
    }

    /** Every class name in it, looked up. */
    public List<NameLookup> names() {
        return names;
    }

    /** The number of the slot at its level; empty if the contract is not known. */
    public Optional<Integer> slot() {
        return slot;
    }

    /** The number of the slot that it is the same as. */
    public Optional<Integer> target() {
        return target;
    }

    /** The numbers of the slots that are listed as members. */
    public List<Integer> members() {
        return members;
    }

    /** Whether what fills the slot by it depends on no other slot. */
    public boolean standsAlone() {
        return switch (declared.supply().form()) {
            case SAME_AS, MEMBERS -> false;
            case CLASS, FACTORY, MOCK, ANSWERS, VALUE, OBJECT, CALL, STATED_KEYS -> true;
            case NONE, INHERITED, REMOVED, TO_FILL -> true;
        };
    }

    /** The class that it names, looked up. */
    public Optional<NameLookup> implementation() {
        return implementation;
    }

    /** Whether the class fits the contract; empty where one of them is not known. */
    public Optional<FitResult> fit() {
        return fit;
    }

    /** How the object is made; empty where the supply is no class, or no class that fits. */
    public Optional<Blueprint> blueprint() {
        return blueprint;
    }

    /** What is wrong with the values that it gives. */
    public List<ValueFault> valueFaults() {
        return valueFaults;
    }

    /** What is wrong with its canned answers. */
    public List<AnswerFault> answerFaults() {
        return answerFaults;
    }

    /** Whether it cannot fill its slot at all. */
    public boolean isBroken() {
        for (NameLookup name : names) {
            if (name.facts().isEmpty()) {
                return true;
            }
        }
        return fit.filter(fit -> !fit.fits()).isPresent();
    }
}
