package dev.patientharbor.rig;

import dev.patientharbor.assembly.MarkedMember;
import dev.patientharbor.assembly.ObjectMaking;
import dev.patientharbor.texts.JavaName;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Makes an object by a constructor and fills its marked members. */
final class ConstructedMaker implements CoreMaker {

    private final ObjectMaking.Constructed making;
    private final ArgumentSource[] arguments;
    private final List<MemberFiller> fillers;
    private final StationTable stations;
    private final boolean stays;
    private volatile ReadyConstructor ready;

    /**
     * The constructor, once it was looked up, whether what it is given is remembered, and whether
     * what it makes can be closed.
     */
    private record ReadyConstructor(
            Constructor<?> constructor, Type[] types, boolean remembers, boolean closes) {}

    /**
     * @param stays whether a rig or a scope keeps what it makes
     */
    ConstructedMaker(
            ObjectMaking.Constructed making,
            ArgumentSource[] arguments,
            boolean stays,
            MakerFactory makers) {
        this.stays = stays;
        this.making = making;
        this.arguments = arguments;
        stations = makers.stations();
        fillers = making.sites().isEmpty() ? List.of() : fillers(making, makers);
    }

    private static List<MemberFiller> fillers(
            ObjectMaking.Constructed making, MakerFactory makers) {
        List<MemberFiller> fillers = new ArrayList<>();
        for (MarkedMember member : making.sites()) {
            ArgumentSource[] arguments = makers.arguments(member.arguments());
            fillers.add(new MemberFiller(member, arguments, makers.stations()));
        }
        return fillers;
    }

    @Override
    public Object make(InstanceStore at) throws Throwable {
        return make(at, null);
    }

    /**
     * Makes one around another.
     *
     * @param wrapped what it wraps; null for what is no decorator
     */
    Object make(InstanceStore at, Object wrapped) throws Throwable {
        ReadyConstructor now = usable();
        Object[] given = given(arguments, now.types(), making.className(), at, wrapped);
        Object object;
        try {
            object = now.constructor().newInstance(given);
        } catch (InvocationTargetException thrown) {
            throw thrown.getCause();
        } catch (LinkageError unusable) {
            throw NotMadeException.unusable(making.className(), unusable);
        }
        if (now.remembers()) {
            fillAndRemember(object, given, at, wrapped);
        } else {
            for (MemberFiller filler : fillers) {
                filler.fill(object, at, wrapped);
            }
        }
        return object;
    }

    private void fillAndRemember(Object object, Object[] given, InstanceStore at, Object wrapped)
            throws Throwable {
        List<Object> all = new ArrayList<>(Arrays.asList(given));
        for (MemberFiller filler : fillers) {
            all.addAll(Arrays.asList(filler.fill(object, at, wrapped)));
        }
        at.memory().given(object, all);
    }

    /** Whether what it makes stays, and is given something that nobody else holds. */
    private boolean holdsFresh() {
        if (!stays) {
            return false;
        }
        boolean fresh = anyFresh(arguments);
        for (MemberFiller filler : fillers) {
            fresh |= anyFresh(filler.arguments());
        }
        return fresh;
    }

    private static boolean anyFresh(ArgumentSource[] all) {
        for (ArgumentSource source : all) {
            Optional<ObjectStation> from = source.station();
            if (from.isPresent()
                    && from.get().end() instanceof MadeStation made
                    && made.isFresh()) {
                return true;
            }
        }
        return false;
    }

    static Object[] given(
            ArgumentSource[] asked, Type[] types, String who, InstanceStore at, Object wrapped) {
        Object[] given = new Object[asked.length];
        for (int i = 0; i < given.length; i++) {
            given[i] = asked[i].get(at, who, types[i], wrapped);
        }
        return given;
    }

    private ReadyConstructor usable() {
        try {
            return ready();
        } catch (RigException closed) {
            throw closed;
        } catch (LinkageError | ReflectiveOperationException | RuntimeException unusable) {
            throw NotMadeException.unusable(making.className(), unusable);
        }
    }

    private ReadyConstructor ready() throws NoSuchMethodException {
        ReadyConstructor now = ready;
        if (now == null) {
            Constructor<?> constructor = constructor();
            now =
                    new ReadyConstructor(
                            MemberAccess.open(constructor),
                            types(constructor),
                            holdsFresh(),
                            stations.endMarks().ends(constructor.getDeclaringClass()));
            ready = now;
        }
        return now;
    }

    /** The constructor; no types are looked up for the only one of a class. */
    private Constructor<?> constructor() throws NoSuchMethodException {
        Class<?> type = stations.classes().load(making.className());
        Constructor<?>[] all = type.getDeclaredConstructors();
        return all.length == 1 && all[0].getParameterCount() == arguments.length
                ? all[0]
                : type.getDeclaredConstructor(stations.classes().parameters(making.descriptor()));
    }

    /** The generic types, unless the class file does not tell them of every parameter. */
    private Type[] types(Constructor<?> constructor) {
        boolean converts = false;
        for (ArgumentSource source : arguments) {
            converts |= source.isValue();
        }
        if (!converts) {
            return constructor.getParameterTypes();
        }
        Type[] generic = constructor.getGenericParameterTypes();
        return generic.length == constructor.getParameterCount()
                ? generic
                : constructor.getParameterTypes();
    }

    /** Everything that it asks for, in order. */
    List<ArgumentSource> asked() {
        List<ArgumentSource> all = new ArrayList<>(Arrays.asList(arguments));
        for (MemberFiller filler : fillers) {
            all.addAll(Arrays.asList(filler.arguments()));
        }
        return all;
    }

    @Override
    public List<ObjectStation> asks() {
        return asked().stream().flatMap(source -> source.station().stream()).toList();
    }

    @Override
    public boolean owns() {
        ReadyConstructor known = ready;
        return known == null || known.closes();
    }

    @Override
    public boolean isOfOneClass() {
        return true;
    }

    String className() {
        return making.className();
    }

    @Override
    public String code() {
        return JavaName.of(making.className());
    }

    @Override
    public String words() {
        return "the constructor of " + JavaName.of(making.className());
    }
}
