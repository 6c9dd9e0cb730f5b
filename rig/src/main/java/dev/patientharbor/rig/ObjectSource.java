package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.SlotParser;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.texts.NearNames;
import dev.patientharbor.texts.RequiredArgument;
import java.lang.reflect.Array;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/**
 * Hands out the objects of a rig: a rig as a whole, or one scope of it. May be used by several
 * threads.
 *
 * <p>Whatever is asked for is what a consumer in no area would receive. All that the entry
 * consumers lead to can be had, and all that the profile binds.
 */
public abstract sealed class ObjectSource permits Rig, Scope {

    /** The carriers in which anything may be asked for, though no need of the plan asks so. */
    private static final Set<Type> CARRIERS = Set.of(Optional.class, Supplier.class);

    private final RigState state;

    ObjectSource(RigState state) {
        this.state = state;
    }

    /** A key that a caller names. */
    static Optional<String> key(String key) {
        return Optional.of(RequiredArgument.of(key, "key"));
    }

    /** The type of a contract that a caller names. */
    static Type type(Contract<?> contract) {
        return RequiredArgument.of(contract, "contract").type();
    }

    /** Where objects are asked for now. */
    abstract InstanceStore store();

    private InstanceStore open() {
        InstanceStore here = store();
        here.requireOpen();
        return here;
    }

    /** What may be handed out again, without looking where and when it is asked for, or null. */
    abstract Object handedOutAgain(Class<?> asked);

    RigState live() {
        return state;
    }

    /**
     * Returns the object in the plain slot of a contract; for an entry consumer, that consumer.
     *
     * @throws IllegalArgumentException if there is no such slot; the message names those that are
     *     near
     * @throws RigException if it cannot be made
     * @throws IllegalStateException if it was closed
     */
    public <T> T get(Class<T> contract) {
        RequiredArgument.of(contract, "contract");
        Object again = handedOutAgain(contract);
        if (again != null) {
            return contract.cast(again);
        }
        InstanceStore here = open();
        ObjectStation known = state.stations().plain(contract);
        if (known == null) {
            known = station(slot(contract, Optional.empty()));
            state.stations().plain(contract, known);
        }
        Object object = known.get(here);
        if (known instanceof MadeStation made && made.isShared()) {
            state.wholeRig().handedOut(contract, object);
        }
        return contract.cast(object);
    }

    /** Returns the object in a keyed slot; an unknown key fails with the keys that there are. */
    public <T> T get(Class<T> contract, String key) {
        RequiredArgument.of(contract, "contract");
        return contract.cast(get(slot(contract, key(key))));
    }

    /** Returns the object in the slot of a contract with type arguments. */
    @SuppressWarnings("unchecked")
    public <T> T get(Contract<T> contract) {
        return (T) get(type(contract), Optional.empty());
    }

    /** Returns the object in a keyed slot of a contract with type arguments. */
    @SuppressWarnings("unchecked")
    public <T> T get(Contract<T> contract, String key) {
        return (T) get(type(contract), key(key));
    }

    /**
     * Returns the object for a type as reflection gives it, of a field or a parameter, say: a
     * contract with its type arguments, or a carrier of one.
     *
     * @param key the key of the slot, if it has one
     */
    public Object get(Type type, Optional<String> key) {
        RequiredArgument.of(type, "type");
        RequiredArgument.of(key, "key");
        Optional<ObjectStation> exact = find(slot(type, key));
        if (exact.isEmpty() && type instanceof ParameterizedType carrier) {
            Type inside = carrier.getActualTypeArguments()[0];
            if (carrier.getRawType() == Optional.class) {
                return knows(inside, key) ? Optional.of(get(inside, key)) : Optional.empty();
            }
            if (carrier.getRawType() == Supplier.class) {
                ObjectStation station = station(slot(inside, key));
                return (Supplier<Object>) () -> station.get(open().whenAskedLater());
            }
        }
        if (exact.isEmpty() && isArrayOfKnown(type, key)) {
            List<?> all = all((Class<?>) ((Class<?>) type).getComponentType());
            Object array = Array.newInstance(((Class<?>) type).getComponentType(), all.size());
            for (int i = 0; i < all.size(); i++) {
                Array.set(array, i, all.get(i));
            }
            return array;
        }
        return get(slot(type, key));
    }

    /** Whether it is an array of what there are variants of: it holds them as a list would. */
    private boolean isArrayOfKnown(Type type, Optional<String> key) {
        return key.isEmpty()
                && type instanceof Class<?> array
                && array.isArray()
                && !array.getComponentType().isPrimitive()
                && state.stations().assembly().parts().stream()
                        .map(part -> part.slot().contract())
                        .anyMatch(RuntimeTypes.ref(array.getComponentType())::equals);
    }

    /** Returns whether there is something for a type, or for what it carries. */
    public boolean knows(Type type, Optional<String> key) {
        RequiredArgument.of(type, "type");
        RequiredArgument.of(key, "key");
        Optional<ObjectStation> exact = find(slot(type, key));
        if (exact.isEmpty()
                && type instanceof ParameterizedType carrier
                && CARRIERS.contains(carrier.getRawType())) {
            return knows(carrier.getActualTypeArguments()[0], key);
        }
        return exact.filter(station -> !(station.end() instanceof MissingStation)).isPresent()
                || exact.isEmpty() && isArrayOfKnown(type, key);
    }

    /** Returns the object in the slot of a type, with what is in it. */
    public HeldObject held(Type type, Optional<String> key) {
        RequiredArgument.of(type, "type");
        RequiredArgument.of(key, "key");
        return held(station(slot(type, key)));
    }

    /**
     * The object in a slot that is written as in a file, such as {@code TideGauge} or {@code
     * WeatherFeed@coast}, and what is in it.
     *
     * @throws IllegalArgumentException if the text is no slot, or there is no such one
     */
    public HeldObject held(String slot) {
        RequiredArgument.of(slot, "slot");
        Slot written =
                SlotParser.slot(slot)
                        .orElseThrow(() -> new IllegalArgumentException(slot + " is not a slot"));
        List<Slot> meant = state.stations().assembly().meantBy(written);
        return held(station(meant.size() == 1 ? meant.get(0) : written));
    }

    /**
     * The object that stands in a slot at a level, and what is in it.
     *
     * @throws IllegalArgumentException if the plan has no such place
     */
    public HeldObject held(Answer.Seat seat) {
        RequiredArgument.of(seat, "seat");
        return held(
                state.stations().all().stream()
                        .filter(station -> station.part().seat().equals(seat))
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new IllegalArgumentException(
                                                "there is no " + seat + " in " + state.profile())));
    }

    private HeldObject held(ObjectStation station) {
        // While the lock is held the layers of a fresh object are remembered too.
        state.lock().lock();
        try {
            InstanceStore here = open();
            return new HeldObject(state.layers(station.get(here), here));
        } finally {
            state.lock().unlock();
        }
    }

    /** Every variant of a contract, in the order of the file. */
    @SuppressWarnings("unchecked")
    public <T> List<T> all(Class<T> contract) {
        RequiredArgument.of(contract, "contract");
        return (List<T>) get(carried("java.util.List", TypeRef.of(contract.getName())));
    }

    /** Every keyed variant of a contract, by its key, in the order of the file. */
    @SuppressWarnings("unchecked")
    public <T> Map<String, T> byKey(Class<T> contract) {
        RequiredArgument.of(contract, "contract");
        return (Map<String, T>)
                get(
                        carried(
                                "java.util.Map",
                                TypeRef.of("java.lang.String"),
                                TypeRef.of(contract.getName())));
    }

    /** The object in the plain slot of a contract; empty if there is no such slot. */
    public <T> Optional<T> maybe(Class<T> contract) {
        RequiredArgument.of(contract, "contract");
        return maybe(contract, slot(contract, Optional.empty()));
    }

    /** The object in a keyed slot; empty if there is no such slot. */
    public <T> Optional<T> maybe(Class<T> contract, String key) {
        RequiredArgument.of(contract, "contract");
        return maybe(contract, slot(contract, key(key)));
    }

    private <T> Optional<T> maybe(Class<T> contract, Slot slot) {
        return find(slot)
                .filter(station -> !(station.end() instanceof MissingStation))
                .map(station -> contract.cast(station.get(open())));
    }

    /**
     * Returns a supplier that hands out the object in the plain slot of a contract when it is
     * asked.
     */
    public <T> Supplier<T> later(Class<T> contract) {
        RequiredArgument.of(contract, "contract");
        ObjectStation station = station(slot(contract, Optional.empty()));
        InstanceStore here = open();
        return () -> {
            state.wholeRig().requireOpen();
            return contract.cast(station.get(here.whenAskedLater()));
        };
    }

    /**
     * Makes a new object beside those that there are, as the plain slot of a contract says,
     * whatever its lifetime. What it needs is what it would have received.
     */
    public <T> T fresh(Class<T> contract) {
        return fresh(contract, Map.of());
    }

    /**
     * Makes a new object that is given something else than the plan says: what is known only when
     * it is asked for. Nobody else receives it, so it is never taken for the shared one.
     *
     * <pre>{@code
     * Plan live = ProfileFiles.read(Path.of("../examples/port.harbor.yaml")).plan("live");
     * try (Rig rig = Rigs.build(live)) {
     *     RadioNotice tern = rig.fresh(RadioNotice.class, Map.of("callSign", "TERN"));
     *     assertNotSame(tern, rig.fresh(RadioNotice.class, Map.of("callSign", "GULL")));
     * }
     * }</pre>
     *
     * @param passed objects by the names of the parameters or marked fields that take them
     * @throws IllegalArgumentException if there is no such slot, parameter or field
     * @throws RigException if an object does not fit, or it cannot be made
     */
    public <T> T fresh(Class<T> contract, Map<String, Object> passed) {
        RequiredArgument.of(contract, "contract");
        RequiredArgument.of(passed, "passed");
        return contract.cast(station(slot(contract, Optional.empty())).fresh(open(), passed));
    }

    private Object get(Slot slot) {
        InstanceStore here = open();
        return station(slot).get(here);
    }

    /** A slot that there is. */
    Slot known(Type contract, Optional<String> key) {
        Slot slot = slot(contract, key);
        station(slot);
        return slot;
    }

    /** The slot whose object stands in another one too. */
    Slot aliasedSlot(Slot slot) {
        return station(slot).end().part().slot();
    }

    private Slot slot(Type contract, Optional<String> key) {
        TypeRef type = RuntimeTypes.ref(contract);
        if (key.isEmpty()) {
            return new Slot(type, Optional.empty());
        }
        Slot named = new Slot(type, Optional.of(Key.named(key.get())));
        return find(named).isPresent() ? named : qualified(type, key.get()).orElse(named);
    }

    /** The slot whose key is a qualifier that is written so: {@code Zone(3)}. */
    private Optional<Slot> qualified(TypeRef contract, String key) {
        for (AssemblyPart part : state.stations().assembly().parts()) {
            Slot slot = part.slot();
            if (slot.contract().equals(contract)
                    && slot.key().isPresent()
                    && slot.key().get().text().equals(key)) {
                return Optional.of(slot);
            }
        }
        return Optional.empty();
    }

    private static Slot carried(String carrier, TypeRef... arguments) {
        return new Slot(new ClassType(carrier, List.of(arguments)), Optional.empty());
    }

    private Optional<ObjectStation> find(Slot slot) {
        Optional<Integer> part = state.stations().assembly().find(slot);
        return part.isEmpty() ? Optional.empty() : Optional.of(state.stations().at(part.get()));
    }

    private ObjectStation station(Slot slot) {
        Optional<ObjectStation> found = find(slot);
        if (found.isPresent()) {
            return found.get();
        }
        throw new IllegalArgumentException(
                "there is no " + RigWording.slot(slot) + " in " + state.profile() + hint(slot));
    }

    private String hint(Slot wanted) {
        List<String> keys = new ArrayList<>();
        List<String> all = new ArrayList<>();
        for (AssemblyPart part : state.stations().assembly().parts()) {
            Slot slot = part.slot();
            if (part.seat().within().isEmpty()) {
                all.add(RigWording.slot(slot));
                if (slot.contract().equals(wanted.contract()) && slot.key().isPresent()) {
                    keys.add(slot.key().get().text());
                }
            }
        }
        if (!keys.isEmpty()) {
            return "; its keys are "
                    + String.join(", ", keys.stream().sorted().distinct().toList());
        }
        List<String> near = NearNames.of(RigWording.slot(wanted), all);
        return near.isEmpty()
                ? "; only what entry consumers lead to and what is bound can be had: add it to"
                        + " 'entry', or bind it"
                : "; near: " + String.join(", ", near);
    }
}
