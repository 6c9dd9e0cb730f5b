package dev.patientharbor.rules;

import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.surveying.HardWiredFinder;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.types.ValueTypes;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The classes that the plans of a set reach, and what they ask for. */
final class PlanConsumers {
    private final ResolvedSet set;
    private final ValueTypes values;
    private final BitSet slots = new BitSet();

    /** By identity: many seats of many profiles are filled from one blueprint. */
    private final Set<Blueprint> added = Collections.newSetFromMap(new IdentityHashMap<>());

    private final Set<String> asked = new HashSet<>();
    private final Set<String> factories = new HashSet<>();
    private final Map<String, List<Blueprint>> consumers = new HashMap<>();
    private final Map<String, Maker> firstBy = new HashMap<>();

    /** What makes a consumer, and where that is said, if it is. */
    record Maker(Wiring wiring, int seat, Optional<ResolvedBinding> binding) {}

    PlanConsumers(ResolvedSet set) {
        this.set = set;
        values = new ValueTypes(set.code());
        set.eachDistinctSeat(this::add);
        set.bindings().forEach(binding -> binding.slot().ifPresent(this::addSlot));
    }

    private void add(Wiring wiring, int seat) {
        SlotOutcome outcome = wiring.outcome(seat);
        outcome.blueprint().ifPresent(this::add);
        outcome.blueprint()
                .ifPresent(
                        made ->
                                firstBy.putIfAbsent(
                                        made.className(),
                                        new Maker(wiring, seat, outcome.binding())));
        for (ResolvedDecorator decorator : outcome.decorators()) {
            decorator.blueprint().ifPresent(this::add);
        }
    }

    private void add(Blueprint blueprint) {
        if (!added.add(blueprint)) {
            return;
        }
        if (blueprint.method().isPresent()) {
            factories.add(blueprint.facts().name() + '#' + blueprint.method().get());
        } else if (set.code().inCode(blueprint.className())) {
            consumers
                    .computeIfAbsent(blueprint.className(), key -> new ArrayList<>(1))
                    .add(blueprint);
        }
        blueprint.needs().forEach(need -> addSlot(need.slot()));
    }

    private void addSlot(int slot) {
        if (!slots.get(slot)) {
            slots.set(slot);
            TypeRef content = set.content(slot);
            if (!values.isValue(content)) {
                asked.add(SlotTable.className(content));
            }
        }
    }

    /** The consumers, by binary name, sorted. */
    List<String> names() {
        return consumers.keySet().stream().sorted().toList();
    }

    HardWiredFinder finder() {
        return new HardWiredFinder(set.code(), asked, factories, this::constructors);
    }

    /** Returns the same, as if a class were made by one constructor alone. */
    HardWiredFinder finder(String consumer, ExecutableFacts constructor) {
        return new HardWiredFinder(
                set.code(),
                asked,
                factories,
                name ->
                        name.equals(consumer)
                                ? Optional.of(Set.of(constructor.erasedParameterTypes()))
                                : constructors(name));
    }

    /** Returns where a consumer is first met; empty if it is a decorator alone. */
    Optional<Maker> maker(String consumer) {
        return Optional.ofNullable(firstBy.get(consumer));
    }

    /** The erased parameter types of the constructors by which a class is made, if one is. */
    Optional<Set<List<String>>> constructors(String className) {
        Set<List<String>> used = new HashSet<>();
        for (Blueprint blueprint : consumers.getOrDefault(className, List.of())) {
            blueprint
                    .executable()
                    .ifPresent(executable -> used.add(executable.erasedParameterTypes()));
        }
        return used.isEmpty() ? Optional.empty() : Optional.of(used);
    }
}
