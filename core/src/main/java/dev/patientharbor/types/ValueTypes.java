package dev.patientharbor.types;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.terms.TypeRef.Primitive;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Tells the types whose values a person writes down from those whose objects are supplied. */
public final class ValueTypes {

    private static final Set<String> SIMPLE =
            Set.of(
                    "java.lang.String",
                    "java.lang.CharSequence",
                    "java.lang.Boolean",
                    "java.lang.Character",
                    "java.lang.Byte",
                    "java.lang.Short",
                    "java.lang.Integer",
                    "java.lang.Long",
                    "java.lang.Float",
                    "java.lang.Double",
                    "java.math.BigDecimal",
                    "java.time.Duration",
                    "java.time.Instant",
                    "java.time.LocalDate",
                    "java.nio.file.Path",
                    "java.net.URI");
    private static final Set<String> COLLECTIONS =
            Set.of(
                    "java.util.List",
                    "java.util.Set",
                    "java.util.Collection",
                    "java.lang.Iterable",
                    "java.util.Map");

    private final CodeIndex code;

    public ValueTypes(CodeIndex code) {
        this.code = code;
    }

    public boolean isValue(TypeRef type) {
        if (type instanceof Primitive) {
            return true;
        }
        if (type instanceof ArrayType array) {
            return isValue(array.element());
        }
        if (!(type instanceof ClassType named)) {
            return false;
        }
        if (COLLECTIONS.contains(named.name())) {
            return !named.arguments().isEmpty()
                    && named.arguments().stream().allMatch(this::isValue);
        }
        return SIMPLE.contains(named.name())
                || code.find(named.name())
                        .filter(facts -> facts.isEnum() || isRecordOfValues(facts))
                        .isPresent();
    }

    /** Returns the names of the constants of an enum, in order; empty for any other type. */
    public Optional<List<String>> constants(TypeRef type) {
        return type instanceof ClassType named && !SIMPLE.contains(named.name())
                ? code.find(named.name()).filter(ClassFacts::isEnum).map(ClassFacts::enumConstants)
                : Optional.empty();
    }

    private boolean isEnum(ClassType type) {
        return constants(type).isPresent();
    }

    private boolean isRecordOfValues(ClassFacts facts) {
        return facts.isRecord()
                && facts.constructors().size() == 1
                && facts.constructors().get(0).parameterTypes().stream()
                        .allMatch(this::isPlainValue);
    }

    private boolean isPlainValue(TypeRef type) {
        return type instanceof Primitive
                || type instanceof ClassType named
                        && (SIMPLE.contains(named.name()) || isEnum(named));
    }
}
