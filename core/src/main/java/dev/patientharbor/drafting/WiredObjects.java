package dev.patientharbor.drafting;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.needs.BindingLevel;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.BlueprintMaker;
import dev.patientharbor.needs.KnownMarks;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.NeedReader;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.tracing.TracedObject;
import dev.patientharbor.tracing.TracedValue;
import dev.patientharbor.types.GenericTypes;
import dev.patientharbor.types.ValueTypes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Looks at each object of a hand wiring as a profile sees it, once. For one thread. */
final class WiredObjects {

    private final CodeIndex code;
    private final SlotTable slots = new SlotTable(BindingLevel.newWhole());
    private final NeedReader needs;
    private final BlueprintMaker blueprints;
    private final ValueTypes valueTypes;
    private final Map<TracedObject, WiredObject> known = new HashMap<>();

    WiredObjects(CodeIndex code, SetDeclaration set) {
        this.code = code;
        KnownMarks marks = new KnownMarks(set.marks(), new ClassNames(code, set));
        needs = new NeedReader(code, new GenericTypes(code), marks, slots);
        blueprints = new BlueprintMaker(needs, marks);
        valueTypes = new ValueTypes(code);
    }

    WiredObject of(TracedObject object) {
        WiredObject wired = known.get(object);
        if (wired == null) {
            wired = read(object);
            known.put(object, wired);
        }
        return wired;
    }

    private WiredObject read(TracedObject object) {
        Optional<TracedObject.Maker> maker = object.maker();
        if (maker.isEmpty()) {
            return unnamed(object, "it was there before, or its constructor is not called");
        }
        return maker.get().method().isPresent()
                ? byMethod(object, maker.get())
                : byConstructor(object, maker.get());
    }

    private static WiredObject unnamed(TracedObject object, String why) {
        return new WiredObject(
                object, "", false, Optional.empty(), Map.of(), List.of(), List.of(), List.of(why));
    }

    private WiredObject byMethod(TracedObject object, TracedObject.Maker maker) {
        String name = maker.method().orElseThrow();
        List<ExecutableFacts> named =
                code.methodsOf(maker.owner()).stream()
                        .filter(method -> method.name().equals(name))
                        .filter(method -> !method.isPrivate())
                        .toList();
        if (named.size() != 1) {
            return unnamed(
                    object,
                    "no profile can name " + maker.owner() + '#' + name + " among its namesakes");
        }
        Reading reading = new Reading(object);
        List<Need> asked = needs.parameters(named.get(0));
        reading.parameters(named.get(0), asked, maker.arguments());
        return reading.wired(maker.owner() + '#' + name, true, Optional.empty());
    }

    private WiredObject byConstructor(TracedObject object, TracedObject.Maker maker) {
        Optional<ClassFacts> found = code.find(object.type());
        if (found.isEmpty() || found.get().isInMethod()) {
            return unnamed(object, "its class has no name that a profile could use");
        }
        ClassFacts facts = found.get();
        Optional<ExecutableFacts> used =
                facts.constructors().stream()
                        .filter(each -> each.descriptor().equals(maker.descriptor()))
                        .findFirst();
        if (used.isEmpty() || used.get().parameterTypes().size() != maker.arguments().size()) {
            return unnamed(object, "its constructor cannot be read");
        }
        List<String> types = used.get().erasedParameterTypes();
        Blueprint own = blueprints.of(facts, facts.asType().raw());
        boolean isChosen =
                own.executable()
                        .filter(each -> each.descriptor().equals(maker.descriptor()))
                        .isPresent();
        Blueprint blueprint = blueprints.of(facts, facts.asType().raw(), Optional.of(types));
        Reading reading = new Reading(object);
        List<Need> constructor =
                blueprint.needs().stream()
                        .filter(need -> need.place().kind() == NeedPlace.Kind.CONSTRUCTOR)
                        .toList();
        reading.parameters(used.get(), constructor, maker.arguments());
        for (Need need : blueprint.needs()) {
            if (need.place().kind() != NeedPlace.Kind.CONSTRUCTOR) {
                reading.member(need);
            }
        }
        reading.otherCalls();
        return reading.wired(facts.name(), false, isChosen ? Optional.empty() : Optional.of(types));
    }

    /** Collects what one object is handed. */
    private final class Reading {
        private final TracedObject object;
        private final Map<String, Object> values = new LinkedHashMap<>();
        private final List<WiredObject.HandedNeed> handed = new ArrayList<>();
        private final List<TracedObject.Call> others = new ArrayList<>();
        private final List<TracedObject.Call> used = new ArrayList<>();

        Reading(TracedObject object) {
            this.object = object;
        }

        void parameters(ExecutableFacts executable, List<Need> asked, List<TracedValue> arguments) {
            List<TypeRef> types = executable.parameterTypes();
            for (int i = 0; i < arguments.size(); i++) {
                Need need = asked.get(i);
                Slot slot = slots.slot(need.slot());
                TracedValue argument = arguments.get(i);
                Optional<Object> given =
                        valueTypes.isValue(types.get(i))
                                ? GivenValues.of(argument, types.get(i))
                                : Optional.empty();
                if (given.isPresent()) {
                    values.put(executable.parameterName(i), given.get());
                } else {
                    handed.add(
                            new WiredObject.HandedNeed(need.place(), need.name(), slot, argument));
                }
            }
        }

        /** A marked field or method; what is looked up is not handed over. */
        void member(Need need) {
            Slot slot = slots.slot(need.slot());
            Optional<TracedValue> value = Optional.empty();
            if (need.place().kind() == NeedPlace.Kind.FIELD) {
                value = Optional.ofNullable(object.fields().get(need.place().member()));
            } else if (need.place().kind() == NeedPlace.Kind.METHOD) {
                Optional<TracedObject.Call> call =
                        object.calls().stream()
                                .filter(each -> isCallOf(each, need.place().member()))
                                .findFirst();
                call.ifPresent(used::add);
                value = call.map(each -> each.arguments().get(need.place().index()));
            }
            TracedValue handedOver =
                    value.orElseGet(
                            () ->
                                    new TracedValue.Unknown(
                                            "nothing is handed to " + need.name(),
                                            object.at().line(),
                                            Optional.empty()));
            handed.add(new WiredObject.HandedNeed(need.place(), need.name(), slot, handedOver));
        }

        private boolean isCallOf(TracedObject.Call call, String member) {
            String own = member.substring(member.indexOf('#') + 1);
            return own.startsWith(call.method() + '(');
        }

        /** Objects that are handed over by methods without a mark: no profile can say that. */
        void otherCalls() {
            for (TracedObject.Call call : object.calls()) {
                boolean isKnown =
                        used.contains(call) || call.arguments().stream().allMatch(this::isHanded);
                if (!isKnown && !object.type().startsWith("java.")) {
                    others.add(call);
                }
            }
        }

        /** Whether all objects of a value are handed to a marked member, or a parameter. */
        private boolean isHanded(TracedValue value) {
            List<TracedObject> all = new ArrayList<>();
            handed.forEach(each -> all.addAll(SlotContents.objectsIn(each.value())));
            return all.containsAll(SlotContents.objectsIn(value));
        }

        WiredObject wired(String maker, boolean isByFactory, Optional<List<String>> constructor) {
            return new WiredObject(
                    object, maker, isByFactory, constructor, values, handed, others, List.of());
        }
    }

    /** Returns whether objects of a class can stand for a contract, by binary names. */
    boolean isOf(String type, String contract) {
        return code.lineage(type).contains(contract);
    }
}
