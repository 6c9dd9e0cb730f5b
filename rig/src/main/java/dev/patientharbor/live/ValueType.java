package dev.patientharbor.live;

import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.type.TypeFactory;
import java.lang.reflect.Type;
import java.util.List;

/** A type that values are converted to, with its arguments. */
public final class ValueType {

    private final JavaType type;
    private final TypeFactory types;

    ValueType(JavaType type, TypeFactory types) {
        this.type = type;
        this.types = types;
    }

    JavaType type() {
        return type;
    }

    /** The class, without arguments. */
    public Class<?> raw() {
        return type.getRawClass();
    }

    /** What it holds: its first argument. */
    public ValueType content() {
        return new ValueType(type.containedTypeOrUnknown(0), types);
    }

    /** A list of it. */
    public ValueType list() {
        return new ValueType(types.constructCollectionType(List.class, type), types);
    }

    /** The type of a member of one of its supertypes, as an object of this type has it. */
    public ValueType ofMember(Class<?> declaring, Type member) {
        JavaType owner = type.findSuperType(declaring);
        return new ValueType(
                types.resolveMemberType(member, (owner == null ? type : owner).getBindings()),
                types);
    }
}
