package dev.patientharbor.rig;

import dev.patientharbor.assembly.MarkedMember;
import java.lang.reflect.Field;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Type;

/** Fills one marked member of an object. */
final class MemberFiller {

    private final MarkedMember member;
    private final ArgumentSource[] arguments;
    private final StationTable stations;
    private volatile Field field;
    private volatile Method method;

    MemberFiller(MarkedMember member, ArgumentSource[] arguments, StationTable stations) {
        this.member = member;
        this.arguments = arguments;
        this.stations = stations;
    }

    /** Fills it, and says what with. */
    Object[] fill(Object object, InstanceStore at, Object wrapped) throws Throwable {
        if (member.kind() == MarkedMember.Kind.FIELD) {
            Type[] type = {field().getGenericType()};
            Object[] given = ConstructedMaker.given(arguments, type, member.owner(), at, wrapped);
            field().set(object, given[0]);
            return given;
        }
        Object[] given =
                ConstructedMaker.given(
                        arguments,
                        method().getGenericParameterTypes(),
                        member.owner(),
                        at,
                        wrapped);
        try {
            method().invoke(object, given);
            return given;
        } catch (InvocationTargetException thrown) {
            throw thrown.getCause();
        }
    }

    private Field field() throws NoSuchFieldException {
        if (field == null) {
            field = MemberAccess.open(owner().getDeclaredField(member.name()));
        }
        return field;
    }

    private Method method() throws NoSuchMethodException {
        if (method == null) {
            Class<?>[] types = stations.classes().parameters(member.descriptor());
            method = MemberAccess.open(owner().getDeclaredMethod(member.name(), types));
        }
        return method;
    }

    private Class<?> owner() {
        return stations.classes().load(member.owner());
    }

    ArgumentSource[] arguments() {
        return arguments;
    }
}
