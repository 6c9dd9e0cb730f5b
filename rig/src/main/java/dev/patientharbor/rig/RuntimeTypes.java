package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyArgument;
import dev.patientharbor.live.UserClasses;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.terms.TypeRef.Primitive;
import dev.patientharbor.terms.TypeRef.Variable;
import dev.patientharbor.terms.TypeRef.Wildcard;
import dev.patientharbor.texts.ShortName;
import java.lang.reflect.GenericArrayType;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.lang.reflect.WildcardType;
import java.util.Arrays;
import java.util.Optional;

/** Types of the running Java, as plans write them. */
final class RuntimeTypes {

    private RuntimeTypes() {}

    /**
     * An object that was passed, if it fits.
     *
     * @param who the class that is given it, by its binary name
     * @throws RigException if it does not
     */
    static Object fitting(AssemblyArgument.Passed passed, Type type, String who) {
        Type raw = type instanceof ParameterizedType with ? with.getRawType() : type;
        Object object = passed.object();
        if (raw instanceof Class<?> plain
                && (object == null
                        ? plain.isPrimitive()
                        : !UserClasses.boxed(plain).isInstance(object))) {
            throw new RigException(
                    passed.name()
                            + " of "
                            + ShortName.of(who)
                            + " takes "
                            + plain.getTypeName()
                            + ", and was passed "
                            + (object == null ? "null" : "a " + object.getClass().getTypeName()));
        }
        return object;
    }

    static TypeRef ref(Type type) {
        if (type instanceof Class<?> plain) {
            if (plain.isArray()) {
                return new ArrayType(ref(plain.getComponentType()));
            }
            return plain.isPrimitive()
                    ? new Primitive(plain.getName())
                    : TypeRef.of(plain.getName());
        }
        if (type instanceof ParameterizedType with) {
            return new ClassType(
                    ((Class<?>) with.getRawType()).getName(),
                    Arrays.stream(with.getActualTypeArguments()).map(RuntimeTypes::ref).toList());
        }
        if (type instanceof GenericArrayType array) {
            return new ArrayType(ref(array.getGenericComponentType()));
        }
        if (type instanceof WildcardType any) {
            if (any.getLowerBounds().length > 0) {
                return new Wildcard("super", Optional.of(ref(any.getLowerBounds()[0])));
            }
            return any.getUpperBounds()[0] == Object.class
                    ? new Wildcard("", Optional.empty())
                    : new Wildcard("extends", Optional.of(ref(any.getUpperBounds()[0])));
        }
        return new Variable(type.getTypeName());
    }
}
