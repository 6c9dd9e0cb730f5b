package dev.patientharbor.rig;

import dev.patientharbor.plan.Making;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Makes an object by a constructor and fills its marked members. */
final class ConstructedMaker implements Maker {

    private final Making.Constructed making;
    private final Asked[] arguments;
    private final Filler[] fillers;
    private final Stations stations;
    private final boolean stays;
    private volatile Ready ready;
    private volatile Boolean holdsFresh;

    /** The constructor, once it was looked up. */
    private record Ready(Constructor<?> constructor, Type[] types) {}

    /**
     * @param stays whether a rig or a scope keeps what it makes
     */
    ConstructedMaker(Making.Constructed making, Asked[] arguments, boolean stays, Makers makers) {
        this.stays = stays;
        this.making = making;
        this.arguments = arguments;
        stations = makers.stations();
        fillers =
                making.sites().stream()
                        .map(site -> new Filler(site, makers.arguments(site.arguments()), stations))
                        .toArray(Filler[]::new);
    }

    @Override
    public Object make(Surroundings at) throws Throwable {
        return make(at, null);
    }

    /**
     * Makes one around another.
     *
     * @param wrapped what it wraps; null for what is no decorator
     */
    Object make(Surroundings at, Object wrapped) throws Throwable {
        Ready now = ready();
        Object[] given = given(arguments, now.types(), making.className(), at, wrapped);
        Object object;
        try {
            object = now.constructor().newInstance(given);
        } catch (InvocationTargetException thrown) {
            throw thrown.getCause();
        }
        List<Object> all = stays ? new ArrayList<>(Arrays.asList(given)) : List.of();
        for (Filler filler : fillers) {
            Object[] more = filler.fill(object, at, wrapped);
            if (stays) {
                all.addAll(Arrays.asList(more));
            }
        }
        if (stays && holdsFresh()) {
            at.memory().given(object, all);
        }
        return object;
    }

    private boolean holdsFresh() {
        if (holdsFresh == null) {
            holdsFresh =
                    asks().stream()
                            .map(Station::end)
                            .anyMatch(one -> one instanceof MadeStation made && made.isFresh());
        }
        return holdsFresh;
    }

    static Object[] given(
            Asked[] asked, Type[] types, String who, Surroundings at, Object wrapped) {
        Object[] given = new Object[asked.length];
        for (int i = 0; i < given.length; i++) {
            given[i] = asked[i].get(at, who, types[i], wrapped);
        }
        return given;
    }

    private Ready ready() throws NoSuchMethodException {
        Ready now = ready;
        if (now == null) {
            Constructor<?> constructor =
                    stations.classes()
                            .load(making.className())
                            .getDeclaredConstructor(
                                    stations.classes().parameters(making.descriptor()));
            now = new Ready(Members.open(constructor), types(constructor));
            ready = now;
        }
        return now;
    }

    /** The generic types, unless the class file does not tell them of every parameter. */
    private static Type[] types(Constructor<?> constructor) {
        Type[] generic = constructor.getGenericParameterTypes();
        return generic.length == constructor.getParameterCount()
                ? generic
                : constructor.getParameterTypes();
    }

    /** Everything that it asks for, in order. */
    List<Asked> asked() {
        List<Asked> all = new ArrayList<>(Arrays.asList(arguments));
        for (Filler filler : fillers) {
            all.addAll(filler.asked());
        }
        return all;
    }

    @Override
    public List<Station> asks() {
        return asked().stream().flatMap(one -> one.station().stream()).toList();
    }

    String className() {
        return making.className();
    }

    @Override
    public String words() {
        return "the constructor of " + making.className();
    }
}
