package dev.patientharbor.drafting;

import dev.patientharbor.drafting.SlotContent.Element;
import dev.patientharbor.drafting.WiredObject.HandedNeed;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.tracing.TracedCollection;
import dev.patientharbor.tracing.TracedObject;
import dev.patientharbor.tracing.TracedValue;
import dev.patientharbor.tracing.TracedValue.Unknown;
import dev.patientharbor.types.Carrier;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Tells what stands in a slot where an object is handed something. For one thread. */
final class SlotContents {

    /** How the identity of what is handed to several begins. */
    static final String SHARED = "#";

    /** Objects that hold others so deep are told apart, even if they are made alike. */
    private static final int DEEPEST = 40;

    private final WiredObjects objects;
    private final Map<TracedObject, Integer> handed = new HashMap<>();
    private final Map<HandedNeed, SlotContent> known = new IdentityHashMap<>();

    /**
     * @param roots the objects from which all others are reached
     */
    SlotContents(WiredObjects objects, List<TracedObject> roots) {
        this.objects = objects;
        Set<TracedObject> seen = new HashSet<>(roots);
        List<TracedObject> open = new ArrayList<>(roots);
        for (int i = 0; i < open.size(); i++) {
            for (HandedNeed need : objects.of(open.get(i)).needs()) {
                for (TracedObject object : objectsIn(need.value())) {
                    handed.merge(object, 1, Integer::sum);
                    if (seen.add(object)) {
                        open.add(object);
                    }
                }
            }
        }
    }

    /** Returns the objects of a value: itself, the elements of a collection. */
    static List<TracedObject> objectsIn(TracedValue value) {
        List<TracedObject> found = new ArrayList<>();
        value.object().ifPresent(found::add);
        value.collection()
                .ifPresent(
                        all ->
                                all.entries()
                                        .forEach(entry -> found.addAll(objectsIn(entry.value()))));
        value.lambda()
                .flatMap(each -> each.yielded().get())
                .ifPresent(yielded -> found.addAll(objectsIn(yielded)));
        return found;
    }

    /** Returns whether an object is handed to somebody. */
    boolean isHanded(TracedObject object) {
        return handed.containsKey(object);
    }

    SlotContent of(HandedNeed need) {
        SlotContent content = known.get(need);
        if (content == null) {
            content = of(need.slot().contract(), need.slot(), need.value(), false);
            known.put(need, content);
        }
        return content;
    }

    private SlotContent of(TypeRef type, Slot asked, TracedValue value, boolean isAnew) {
        Slot slot = new Slot(type, asked.key());
        Optional<Carrier> carrier = Carrier.of(type);
        if (carrier.isEmpty()) {
            return object(slot, value, isAnew);
        }
        Slot inside = new Slot(carrier.get().content(), asked.key());
        return switch (carrier.get().kind()) {
            case OPTIONAL -> optional(inside, value, isAnew);
            case DEFERRED ->
                    value.lambda()
                            .flatMap(lambda -> lambda.yielded().get())
                            .map(yielded -> of(inside.contract(), inside, yielded, isNew(yielded)))
                            .orElseGet(() -> object(slot, value, isAnew));
            case COLLECTION, MAP ->
                    value.collection()
                            .filter(all -> all.beyond().isEmpty())
                            .filter(all -> isContract(inside.contract()))
                            .map(all -> elements(slot, inside, all))
                            .orElseGet(() -> unknown(slot, value));
        };
    }

    private static boolean isContract(TypeRef type) {
        return type instanceof TypeRef.ClassType || type instanceof TypeRef.ArrayType;
    }

    /** What a lambda makes, rather than holds on to. */
    private boolean isNew(TracedValue yielded) {
        return yielded.object().filter(TracedObject::isMadeInLambda).isPresent();
    }

    private SlotContent optional(Slot inside, TracedValue value, boolean isAnew) {
        if (value.isNothing()) {
            return SlotContent.absent(inside);
        }
        Optional<TracedCollection> held = value.collection();
        if (held.isEmpty()) {
            return value.object().isPresent()
                    ? of(inside.contract(), inside, value, isAnew)
                    : unknown(inside, value);
        }
        return held.get().entries().stream()
                .findFirst()
                .map(entry -> of(inside.contract(), inside, entry.value(), isAnew))
                .orElseGet(() -> SlotContent.absent(inside));
    }

    private SlotContent elements(Slot slot, Slot inside, TracedCollection all) {
        List<Element> elements = new ArrayList<>();
        for (TracedCollection.Entry entry : all.entries()) {
            Slot plain = new Slot(inside.contract(), Optional.empty());
            SlotContent content = of(plain.contract(), plain, entry.value(), false);
            Optional<String> key = entry.key().flatMap(TracedValue::constant).map(Object::toString);
            boolean hasKey = all.kind() != TracedCollection.Kind.MAP || key.isPresent();
            elements.add(
                    new Element(
                            key,
                            hasKey
                                    ? content
                                    : SlotContent.unknown(plain, "a key that is not known", 0)));
        }
        return SlotContent.elements(slot, elements);
    }

    private SlotContent unknown(Slot slot, TracedValue value) {
        Optional<Unknown> beyond = value.collection().flatMap(TracedCollection::beyond);
        Unknown unknown =
                value.unknown()
                        .or(() -> beyond)
                        .orElseGet(() -> new Unknown(words(value), 0, Optional.empty()));
        return SlotContent.unknown(slot, unknown.what(), unknown.line());
    }

    private static String words(TracedValue value) {
        return value.match(
                new TracedValue.Cases<String>() {
                    @Override
                    public String object(TracedObject object) {
                        return "an object of " + object.type();
                    }

                    @Override
                    public String collection(TracedCollection collection) {
                        return "a collection";
                    }

                    @Override
                    public String constant(TracedValue.Constant constant) {
                        return "the constant " + constant.value();
                    }

                    @Override
                    public String setting(TracedValue.Setting setting) {
                        return "the setting " + setting.template();
                    }

                    @Override
                    public String nothing(TracedValue.Nothing nothing) {
                        return "null";
                    }

                    @Override
                    public String lambda(TracedValue.Lambda lambda) {
                        return "a lambda, which no profile can name";
                    }

                    @Override
                    public String unknown(Unknown unknown) {
                        return unknown.what();
                    }
                });
    }

    private SlotContent object(Slot slot, TracedValue value, boolean isAnew) {
        Optional<TracedObject> object = value.object();
        if (object.isEmpty()) {
            int line = value.lambda().map(TracedValue.Lambda::line).orElse(0);
            return value.unknown().isPresent()
                    ? unknown(slot, value)
                    : SlotContent.unknown(slot, words(value), line);
        }
        List<WiredObject> decorators = new ArrayList<>();
        WiredObject core = objects.of(object.get());
        Optional<WiredObject> inner = inner(slot, core);
        while (inner.isPresent()) {
            decorators.add(core);
            core = inner.get();
            inner = inner(slot, core);
        }
        Optional<WiredObject> nameless =
                core.canBeNamed()
                        ? decorators.stream().filter(each -> !each.canBeNamed()).findFirst()
                        : Optional.of(core);
        if (nameless.isPresent()) {
            return SlotContent.unknown(
                    slot, String.join(", ", nameless.get().faults()), nameless.get().at().line());
        }
        boolean isNew = isAnew || core.object().isMadeInLambda();
        return SlotContent.object(slot, decorators, core, identity(object.get()), isNew);
    }

    /** Returns what a decorator of a slot asks for beside what it is around. */
    static List<HandedNeed> otherNeeds(WiredObject decorator, Slot of) {
        return decorator.needs().stream().filter(need -> !isAround(need, of)).toList();
    }

    /** Returns whether a need of a decorator is for what it is around. */
    static boolean isAround(HandedNeed need, Slot of) {
        return need.slot().equals(new Slot(of.contract(), Optional.empty()));
    }

    /** What a decorator is around: the one thing of the same contract that it alone is handed. */
    private Optional<WiredObject> inner(Slot slot, WiredObject outer) {
        if (!(slot.contract() instanceof TypeRef.ClassType contract)
                || outer.isByFactory()
                || !objects.isOf(outer.object().type(), contract.name())) {
            return Optional.empty();
        }
        List<HandedNeed> same =
                outer.needs().stream().filter(need -> isAround(need, slot)).toList();
        return same.size() != 1
                ? Optional.empty()
                : same.get(0)
                        .value()
                        .object()
                        .filter(object -> handed.getOrDefault(object, 0) == 1)
                        .map(objects::of);
    }

    /**
     * Equal for one object, and for two that are made alike and each handed over once: those may
     * come of one binding.
     */
    private String identity(TracedObject object) {
        return handed.getOrDefault(object, 0) > 1
                ? SHARED + object.number()
                : shape(object, new HashSet<>());
    }

    private String shape(TracedObject object, Set<TracedObject> around) {
        WiredObject wired = objects.of(object);
        if (handed.getOrDefault(object, 0) > 1
                || around.size() > DEEPEST
                || !around.add(object)
                || !wired.canBeNamed()) {
            return "#" + object.number();
        }
        StringBuilder shape = new StringBuilder(wired.maker()).append(wired.values()).append('(');
        for (HandedNeed need : wired.needs()) {
            shape.append(shape(need.value(), around)).append(',');
        }
        around.remove(object);
        return shape.append(')').toString();
    }

    private String shape(TracedValue value, Set<TracedObject> around) {
        Optional<TracedCollection> all = value.collection();
        if (all.isPresent()) {
            StringBuilder shape = new StringBuilder("[");
            all.get()
                    .entries()
                    .forEach(
                            entry ->
                                    shape.append(entry.key())
                                            .append(shape(entry.value(), around))
                                            .append(' '));
            return shape.append(']').toString();
        }
        return value.object()
                .map(object -> shape(object, around))
                .or(
                        () ->
                                value.lambda()
                                        .flatMap(each -> each.yielded().get())
                                        .map(yielded -> "()" + shape(yielded, around)))
                .orElseGet(value::toString);
    }
}
