package dev.patientharbor.terms;

import dev.patientharbor.texts.RequiredArgument;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * A Java type with its type arguments, as in JLS 4: what a need asks for and what a slot is a slot
 * of.
 */
public sealed interface TypeRef {

    /**
     * The type as people and machines read it, without spaces between arguments: {@code
     * p.Reader<p.Ship>}.
     */
    default String text() {
        return text(name -> name);
    }

    /**
     * Returns the type as text, each class name written by the given function (the short name,
     * say).
     */
    String text(UnaryOperator<String> className);

    /** The type with its variables replaced; a variable that is not in the map stays. */
    TypeRef bind(Map<String, TypeRef> variables);

    /** The type itself; for a wildcard its bound, {@code Object} if it has none. */
    default TypeRef atLeast() {
        return this;
    }

    /** Whether it is one definite type: no variable and no wildcard in it. */
    boolean isExact();

    /** A class or interface without arguments. */
    static ClassType of(String name) {
        RequiredArgument.of(name, "name");
        return new ClassType(name, List.of());
    }

    private static List<TypeRef> bindAll(List<TypeRef> types, Map<String, TypeRef> variables) {
        return types.stream().map(type -> type.bind(variables)).toList();
    }

    /**
     * A class or interface.
     *
     * @param name the binary name ({@code p.Outer$Inner}), or the name as the user wrote it until
     *     it is looked up
     * @param arguments its type arguments; empty for a type without parameters and for a raw type
     */
    record ClassType(String name, List<TypeRef> arguments) implements TypeRef {
        public ClassType {
            RequiredArgument.of(name, "name");
            RequiredArgument.of(arguments, "arguments");
            arguments = List.copyOf(arguments);
        }

        /** Returns this class without type arguments. */
        public ClassType raw() {
            return arguments.isEmpty() ? this : TypeRef.of(name);
        }

        @Override
        public String text(UnaryOperator<String> className) {
            RequiredArgument.of(className, "className");
            if (arguments.isEmpty()) {
                return className.apply(name);
            }
            StringBuilder text = new StringBuilder(className.apply(name)).append('<');
            for (int i = 0; i < arguments.size(); i++) {
                text.append(i == 0 ? "" : ",").append(arguments.get(i).text(className));
            }
            return text.append('>').toString();
        }

        @Override
        public TypeRef bind(Map<String, TypeRef> variables) {
            RequiredArgument.of(variables, "variables");
            return arguments.isEmpty() || variables.isEmpty()
                    ? this
                    : new ClassType(name, bindAll(arguments, variables));
        }

        @Override
        public boolean isExact() {
            for (TypeRef argument : arguments) {
                if (!argument.isExact()) {
                    return false;
                }
            }
            return true;
        }

        // Written out: the ones made for records are generated at run time, and these are the
        // hottest keys of a check.
        @Override
        public boolean equals(Object other) {
            return other instanceof ClassType that
                    && name.equals(that.name)
                    && arguments.equals(that.arguments);
        }

        @Override
        public int hashCode() {
            return 31 * name.hashCode() + arguments.hashCode();
        }
    }

    /** An array of some type. */
    record ArrayType(TypeRef element) implements TypeRef {
        public ArrayType {
            RequiredArgument.of(element, "element");
        }

        @Override
        public String text(UnaryOperator<String> className) {
            RequiredArgument.of(className, "className");
            return element.text(className) + "[]";
        }

        @Override
        public TypeRef bind(Map<String, TypeRef> variables) {
            RequiredArgument.of(variables, "variables");
            // There is no array of a wildcard: where a variable stands for any, it is its bound's.
            return new ArrayType(element.bind(variables).atLeast());
        }

        @Override
        public boolean isExact() {
            return element.isExact();
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof ArrayType that && element.equals(that.element);
        }

        @Override
        public int hashCode() {
            return 31 * element.hashCode() + 7;
        }
    }

    /** A type variable, such as the {@code T} of {@code Reader<T>}. */
    record Variable(String name) implements TypeRef {
        public Variable {
            RequiredArgument.of(name, "name");
        }

        @Override
        public String text(UnaryOperator<String> className) {
            RequiredArgument.of(className, "className");
            return name;
        }

        @Override
        public TypeRef bind(Map<String, TypeRef> variables) {
            RequiredArgument.of(variables, "variables");
            return Objects.requireNonNullElse(variables.get(name), this);
        }

        @Override
        public boolean isExact() {
            return false;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Variable that && name.equals(that.name);
        }

        @Override
        public int hashCode() {
            return name.hashCode();
        }
    }

    /**
     * A wildcard.
     *
     * @param word {@code extends} or {@code super}; empty for a plain {@code ?}
     * @param bound the bound; empty for a plain {@code ?}
     */
    record Wildcard(String word, Optional<TypeRef> bound) implements TypeRef {
        public Wildcard {
            RequiredArgument.of(word, "word");
            RequiredArgument.of(bound, "bound");
        }

        @Override
        public String text(UnaryOperator<String> className) {
            RequiredArgument.of(className, "className");
            return bound.map(type -> "? " + word + ' ' + type.text(className)).orElse("?");
        }

        @Override
        public TypeRef atLeast() {
            return bound.orElse(TypeRef.of("java.lang.Object"));
        }

        @Override
        public TypeRef bind(Map<String, TypeRef> variables) {
            RequiredArgument.of(variables, "variables");
            return new Wildcard(
                    word, bound.map(type -> type.bind(variables)).flatMap(Wildcard::one));
        }

        /** A wildcard in a wildcard stands for its bound. */
        private static Optional<TypeRef> one(TypeRef type) {
            return type instanceof Wildcard inner ? inner.bound : Optional.of(type);
        }

        @Override
        public boolean isExact() {
            return false;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Wildcard that
                    && word.equals(that.word)
                    && bound.equals(that.bound);
        }

        @Override
        public int hashCode() {
            return word.hashCode() + 31 * bound.hashCode();
        }
    }

    /** A primitive type, such as {@code int}. */
    record Primitive(String name) implements TypeRef {
        public Primitive {
            RequiredArgument.of(name, "name");
        }

        private static final Set<String> NAMES =
                Set.of("boolean", "byte", "char", "short", "int", "long", "float", "double");

        /** Whether it is the name of a primitive type. */
        public static boolean isName(String text) {
            RequiredArgument.of(text, "text");
            return NAMES.contains(text);
        }

        @Override
        public String text(UnaryOperator<String> className) {
            RequiredArgument.of(className, "className");
            return name;
        }

        @Override
        public TypeRef bind(Map<String, TypeRef> variables) {
            RequiredArgument.of(variables, "variables");
            return this;
        }

        @Override
        public boolean isExact() {
            return true;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Primitive that && name.equals(that.name);
        }

        @Override
        public int hashCode() {
            return name.hashCode();
        }
    }
}
