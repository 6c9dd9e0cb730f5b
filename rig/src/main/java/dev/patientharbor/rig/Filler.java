package dev.patientharbor.rig;

import dev.patientharbor.plan.Site;
import java.lang.reflect.Field;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Type;

/** Fills one marked member of an object. */
final class Filler {

    private final Site site;
    private final Asked[] arguments;
    private final Stations stations;
    private volatile Field field;
    private volatile Method method;

    Filler(Site site, Asked[] arguments, Stations stations) {
        this.site = site;
        this.arguments = arguments;
        this.stations = stations;
    }

    /** Fills it, and says what with. */
    Object[] fill(Object object, Surroundings at, Object wrapped) throws Throwable {
        if (site.kind() == Site.Kind.FIELD) {
            Type[] type = {field().getGenericType()};
            Object[] given = ConstructedMaker.given(arguments, type, site.owner(), at, wrapped);
            field().set(object, given[0]);
            return given;
        }
        Object[] given =
                ConstructedMaker.given(
                        arguments, method().getGenericParameterTypes(), site.owner(), at, wrapped);
        try {
            method().invoke(object, given);
            return given;
        } catch (InvocationTargetException thrown) {
            throw thrown.getCause();
        }
    }

    private Field field() throws NoSuchFieldException {
        if (field == null) {
            field = Members.open(owner().getDeclaredField(site.name()));
        }
        return field;
    }

    private Method method() throws NoSuchMethodException {
        if (method == null) {
            Class<?>[] types = stations.classes().parameters(site.descriptor());
            method = Members.open(owner().getDeclaredMethod(site.name(), types));
        }
        return method;
    }

    private Class<?> owner() {
        return stations.classes().load(site.owner());
    }

    Asked[] arguments() {
        return arguments;
    }
}
