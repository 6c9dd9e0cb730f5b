package dev.patientharbor.declared;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.model.StatedConsumer.Handler;
import dev.patientharbor.model.StatedConsumer.Statics;
import dev.patientharbor.model.StatedConsumer.Thing;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.NeedReader;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.plan.PassedParameter;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads what the stated consumers ask for. */
public final class ConsumerReader {

    private final ClassNames names;
    private final NeedReader needs;
    private final BindingResolver bindings;
    private final SlotTable slots;

    public ConsumerReader(
            ClassNames names, NeedReader needs, BindingResolver bindings, SlotTable slots) {
        this.names = names;
        this.needs = needs;
        this.bindings = bindings;
        this.slots = slots;
    }

    public ResolvedConsumer read(StatedConsumer consumer) {
        return consumer.match(this::thing, this::handler, this::statics);
    }

    private ResolvedConsumer statics(Statics statics) {
        NameLookup lookup = names.lookup(statics.name());
        Optional<Blueprint> blueprint =
                lookup.facts()
                        .map(
                                facts ->
                                        Blueprint.byConstructor(
                                                facts,
                                                facts.asType().raw(),
                                                Optional.empty(),
                                                needs.statics(facts),
                                                Optional.empty()));
        return new ResolvedConsumer(
                statics, List.of(lookup), blueprint, false, List.of(), List.of());
    }

    private ResolvedConsumer thing(Thing thing) {
        List<NameLookup> lookups = new ArrayList<>();
        List<Need> all = new ArrayList<>();
        for (Map.Entry<String, Slot> need : thing.needs().entrySet()) {
            bindings.slot(need.getValue(), thing.name().at(), lookups)
                    .map(slots::number)
                    .ifPresent(
                            slot ->
                                    all.add(
                                            new Need(
                                                    NeedPlace.declared(need.getKey()),
                                                    need.getKey(),
                                                    slot)));
        }
        ClassFacts itself = ClassFacts.named(thing.name().text());
        Blueprint blueprint =
                Blueprint.byConstructor(
                        itself, itself.asType(), Optional.empty(), all, Optional.empty());
        return new ResolvedConsumer(
                thing, lookups, Optional.of(blueprint), false, List.of(), List.of());
    }

    private ResolvedConsumer handler(Handler handler) {
        NameLookup lookup = names.lookup(handler.holder());
        if (lookup.facts().isEmpty()) {
            return new ResolvedConsumer(
                    handler, List.of(lookup), Optional.empty(), false, List.of(), List.of());
        }
        ClassFacts holder = lookup.facts().get();
        List<ExecutableFacts> found =
                holder.methods().stream()
                        .filter(executable -> executable.name().equals(handler.method()))
                        .toList();
        if (found.size() != 1) {
            Blueprint none = Blueprint.ofNoMethod(holder, handler.method(), found);
            return new ResolvedConsumer(
                    handler, List.of(lookup), Optional.of(none), false, List.of(), List.of());
        }
        List<Need> asked = new ArrayList<>();
        List<PassedParameter> passed = new ArrayList<>();
        List<WrittenName> left = new ArrayList<>(handler.passed());
        for (Need parameter : needs.parameters(found.get(0))) {
            if (left.removeIf(name -> name.text().equals(parameter.name()))) {
                passed.add(
                        new PassedParameter(
                                holder.name(),
                                parameter.place(),
                                parameter.name(),
                                slots.slot(parameter.slot()).contract()));
            } else {
                asked.add(parameter);
            }
        }
        Blueprint blueprint =
                Blueprint.byMethod(
                        holder,
                        handler.method(),
                        Optional.of(found.get(0)),
                        asked,
                        Optional.empty());
        boolean needsObject = !Modifier.isStatic(found.get(0).access());
        return new ResolvedConsumer(
                handler, List.of(lookup), Optional.of(blueprint), needsObject, passed, left);
    }
}
