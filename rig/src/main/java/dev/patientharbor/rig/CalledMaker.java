package dev.patientharbor.rig;

import dev.patientharbor.assembly.ObjectMaking;
import dev.patientharbor.texts.JavaName;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Has a method make an object: a static one, or one of an object of the rig. */
final class CalledMaker implements CoreMaker {

    private final ObjectMaking.Called making;
    private final ArgumentSource[] arguments;
    private final StationTable stations;
    private volatile Method method;

    CalledMaker(ObjectMaking.Called making, ArgumentSource[] arguments, StationTable stations) {
        this.making = making;
        this.arguments = arguments;
        this.stations = stations;
    }

    @Override
    public Object make(InstanceStore at) throws Throwable {
        Object on = making.on().isPresent() ? stations.at(making.on().get()).get(at) : null;
        Method called = usable();
        Object[] given =
                ConstructedMaker.given(
                        arguments, called.getGenericParameterTypes(), making.className(), at, null);
        try {
            return called.invoke(on, given);
        } catch (InvocationTargetException thrown) {
            throw thrown.getCause();
        } catch (LinkageError unusable) {
            throw NotMadeException.unusable(making.className(), unusable);
        }
    }

    private Method usable() {
        try {
            return method();
        } catch (RigException closed) {
            throw closed;
        } catch (LinkageError | ReflectiveOperationException | RuntimeException unusable) {
            throw NotMadeException.unusable(making.className(), unusable);
        }
    }

    private Method method() throws NoSuchMethodException {
        if (method == null) {
            Class<?>[] types = stations.classes().parameters(making.descriptor());
            method =
                    MemberAccess.open(declared(stations.classes().load(making.className()), types));
        }
        return method;
    }

    private Method declared(Class<?> holder, Class<?>[] types) throws NoSuchMethodException {
        for (Class<?> at = holder; at != null; at = at.getSuperclass()) {
            for (Method method : at.getDeclaredMethods()) {
                if (method.getName().equals(making.method())
                        && Arrays.equals(method.getParameterTypes(), types)
                        && !method.isBridge()) {
                    return method;
                }
            }
        }
        return holder.getMethod(making.method(), types);
    }

    @Override
    public List<ObjectStation> asks() {
        List<ObjectStation> all = new ArrayList<>();
        making.on().map(stations::at).ifPresent(all::add);
        Arrays.stream(arguments).flatMap(source -> source.station().stream()).forEach(all::add);
        return all;
    }

    @Override
    public String code() {
        return JavaName.of(making.className()) + '#' + making.method();
    }

    @Override
    public String words() {
        return "the factory " + JavaName.of(making.className()) + '#' + making.method();
    }
}
