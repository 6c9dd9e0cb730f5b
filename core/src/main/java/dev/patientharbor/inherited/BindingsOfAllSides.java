package dev.patientharbor.inherited;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecoratorStatement;
import dev.patientharbor.model.SupplyEffect;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.terms.ImplementationKind;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.types.Carrier;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the profiles of a set bind, whoever checks them: each as all sides have it on which it
 * matters. Looked through once for all sides.
 */
public final class BindingsOfAllSides {

    private final List<ProfileOnSide> said = new ArrayList<>();
    private final Map<String, ResolvedBinding> firstByMaker = new HashMap<>();
    private final Map<String, ImplementationKind> standIns = new HashMap<>();
    private final Set<String> replaced = new HashSet<>();
    private final Set<String> supplied = new HashSet<>();
    private final Set<String> contracts = new HashSet<>();
    private Map<Slot, Set<String>> profilesBySlot;

    /** A profile, and the slots of the side that resolved it. */
    private record ProfileOnSide(ResolvedProfile profile, SlotTable slots) {}

    public BindingsOfAllSides() {}

    /**
     * Adds what a profile says itself, as a side has it; in the order of the file.
     *
     * @param side the side that resolved it
     * @param slots the slots of that side
     */
    public void add(ResolvedProfile profile, CodeSide side, SlotTable slots) {
        said.add(new ProfileOnSide(profile, slots));
        for (ResolvedBinding binding : profile.ownBindings()) {
            Optional<Slot> bound = binding.slot().map(slots::slot);
            bound.ifPresent(slot -> contracts.add(contract(slot)));
            Optional<String> own =
                    bound.filter(slot -> slot.key().isEmpty()).map(BindingsOfAllSides::contract);
            binding.names().forEach(name -> supply(name, own, side));
            binding.slot().ifPresent(slot -> replace(binding, slots.slot(slot)));
            binding.blueprint()
                    .ifPresent(blueprint -> firstByMaker.putIfAbsent(blueprint.maker(), binding));
            binding.declared()
                    .supply()
                    .kind()
                    .filter(ImplementationKind::isStandIn)
                    .ifPresent(
                            kind ->
                                    binding.implementation()
                                            .flatMap(NameLookup::facts)
                                            .ifPresent(
                                                    facts ->
                                                            standIns.putIfAbsent(
                                                                    facts.name(), kind)));
        }
        for (ResolvedDecoratorStatement statement : profile.ownDecoratorStatements()) {
            statement.all().forEach(decorator -> supply(decorator.name(), Optional.empty(), side));
        }
    }

    /** Remembers what is supplied; a class that is bound to itself stands behind nothing else. */
    private void supply(NameLookup name, Optional<String> own, CodeSide side) {
        name.facts()
                .or(() -> side.lookupAnywhere(name).facts())
                .filter(facts -> !own.equals(Optional.of(facts.name())))
                .ifPresent(facts -> supplied.add(facts.name()));
    }

    private static String contract(Slot slot) {
        return SlotTable.className(Carrier.innermost(slot.contract()));
    }

    private void replace(ResolvedBinding binding, Slot slot) {
        String contract = contract(slot);
        boolean isItself =
                binding.blueprint()
                        .filter(blueprint -> blueprint.method().isEmpty())
                        .filter(blueprint -> blueprint.className().equals(contract))
                        .isPresent();
        if (!isItself && binding.declared().supply().effect() != SupplyEffect.KEEPS) {
            replaced.add(contract);
        }
    }

    /** The profiles that bind a slot in the whole profile, in the order of the file. */
    public List<String> profiles(Slot slot) {
        if (profilesBySlot == null) {
            profilesBySlot = new HashMap<>();
            for (ProfileOnSide one : said) {
                one.profile().ownBindings().stream()
                        .flatMap(binding -> binding.slot().stream())
                        .filter(number -> one.slots().level(number).isWhole())
                        .distinct()
                        .forEach(
                                number ->
                                        profilesBySlot
                                                .computeIfAbsent(
                                                        one.slots().slot(number),
                                                        it -> new LinkedHashSet<>(2))
                                                .add(one.profile().declared().name()));
            }
        }
        return List.copyOf(profilesBySlot.getOrDefault(slot, Set.of()));
    }

    /** The binding, the first of all, by which objects are made in a way. */
    public Optional<ResolvedBinding> firstBy(String maker) {
        return Optional.ofNullable(firstByMaker.get(maker));
    }

    /** What some profile calls a class, if it binds it as a stand-in. */
    public Optional<ImplementationKind> standIn(String className) {
        return Optional.ofNullable(standIns.get(className));
    }

    /** Whether some profile binds a class to something else: a mock, a subclass, a value. */
    public boolean isReplaced(String className) {
        return replaced.contains(className);
    }

    /** Whether some profile binds a slot of a class or interface, or a collection of it. */
    boolean isBound(String className) {
        return contracts.contains(className);
    }

    /** Whether some profile names a class as what is supplied or decorates. */
    boolean isSupplied(String className) {
        return supplied.contains(className);
    }
}
