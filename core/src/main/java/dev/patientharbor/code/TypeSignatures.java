package dev.patientharbor.code;

import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.signature.SignatureReader;
import org.objectweb.asm.signature.SignatureVisitor;

/** Turns descriptors and signatures of class files (JVMS 4.3 and 4.7.9.1) into types. */
final class TypeSignatures {

    private TypeSignatures() {}

    /**
     * Parses all that later questions will parse, so that damage is reported of the class file.
     *
     * @throws RuntimeException of whatever kind, if something cannot be parsed
     */
    static void requireSound(ClassFacts facts) {
        if (facts.signature().isPresent()) {
            facts.typeParameters();
            facts.bounds();
            facts.supertypes();
        }
        for (ExecutableFacts executable : facts.constructors()) {
            executable.parameterTypes();
        }
        for (ExecutableFacts executable : facts.methods()) {
            executable.parameterTypes();
            executable.returnType();
        }
        for (FieldFacts field : facts.fields()) {
            field.type();
        }
        for (String openMethod : facts.openMethods()) {
            Type.getArgumentTypes(openMethod.substring(openMethod.indexOf('(')));
        }
        for (MethodFacts method : facts.bodies().calls()) {
            method.parameterTypes();
        }
    }

    static List<TypeRef> parameters(String descriptor, Optional<String> signature) {
        List<TypeRef> erased = new ArrayList<>();
        for (Type type : Type.getArgumentTypes(descriptor)) {
            erased.add(erased(type));
        }
        if (signature.isEmpty()) {
            return erased;
        }
        List<TypeRef> generic = new ArrayList<>();
        new SignatureReader(signature.get())
                .accept(
                        new Parts() {
                            @Override
                            public SignatureVisitor visitParameterType() {
                                return new TypeBuilder(generic::add);
                            }
                        });
        // A signature leaves out the parameters that the compiler adds in front, such as an inner
        // class's outer object.
        int added = erased.size() - generic.size();
        List<TypeRef> all = new ArrayList<>(erased.subList(0, Math.max(0, added)));
        all.addAll(generic);
        return added < 0 ? erased : all;
    }

    static TypeRef returned(String descriptor, Optional<String> signature) {
        if (signature.isEmpty()) {
            return erased(Type.getReturnType(descriptor));
        }
        List<TypeRef> type = new ArrayList<>(1);
        new SignatureReader(signature.get())
                .accept(
                        new Parts() {
                            @Override
                            public SignatureVisitor visitReturnType() {
                                return new TypeBuilder(type::add);
                            }
                        });
        return type.get(0);
    }

    static TypeRef field(String descriptor, Optional<String> signature) {
        if (signature.isEmpty()) {
            return erased(Type.getType(descriptor));
        }
        List<TypeRef> type = new ArrayList<>();
        new SignatureReader(signature.get()).acceptType(new TypeBuilder(type::add));
        return type.get(0);
    }

    static List<String> typeParameters(Optional<String> declared) {
        List<String> names = new ArrayList<>();
        declared.ifPresent(
                signature ->
                        new SignatureReader(signature)
                                .accept(
                                        new Parts() {
                                            @Override
                                            public void visitFormalTypeParameter(String name) {
                                                names.add(name);
                                            }
                                        }));
        return names;
    }

    /** The first bound of each type parameter of a class or a method, in order. */
    static List<TypeRef> bounds(Optional<String> declared) {
        List<TypeRef> first = new ArrayList<>();
        for (List<TypeRef> all : allBounds(declared)) {
            if (!all.isEmpty()) {
                first.add(all.get(0));
            }
        }
        return first;
    }

    /** The bounds of each type parameter of a class or a method, in order. */
    static List<List<TypeRef>> allBounds(Optional<String> declared) {
        List<List<TypeRef>> bounds = new ArrayList<>();
        declared.ifPresent(
                signature ->
                        new SignatureReader(signature)
                                .accept(
                                        new Parts() {
                                            @Override
                                            public void visitFormalTypeParameter(String name) {
                                                bounds.add(new ArrayList<>(1));
                                            }

                                            @Override
                                            public SignatureVisitor visitClassBound() {
                                                return new TypeBuilder(this::bound);
                                            }

                                            @Override
                                            public SignatureVisitor visitInterfaceBound() {
                                                return new TypeBuilder(this::bound);
                                            }

                                            private void bound(TypeRef type) {
                                                bounds.get(bounds.size() - 1).add(type);
                                            }
                                        }));
        return bounds;
    }

    static List<ClassType> supertypes(ClassFacts facts) {
        List<ClassType> types = new ArrayList<>();
        if (facts.signature().isEmpty()) {
            facts.superName().ifPresent(name -> types.add(TypeRef.of(name)));
            facts.interfaces().forEach(name -> types.add(TypeRef.of(name)));
            return types;
        }
        Consumer<TypeRef> add = type -> types.add((ClassType) type);
        new SignatureReader(facts.signature().get())
                .accept(
                        new Parts() {
                            @Override
                            public SignatureVisitor visitSuperclass() {
                                return new TypeBuilder(add);
                            }

                            @Override
                            public SignatureVisitor visitInterface() {
                                return new TypeBuilder(add);
                            }
                        });
        return types;
    }

    private static TypeRef erased(Type type) {
        return switch (type.getSort()) {
            case Type.ARRAY -> {
                TypeRef array = erased(type.getElementType());
                for (int i = 0; i < type.getDimensions(); i++) {
                    array = new TypeRef.ArrayType(array);
                }
                yield array;
            }
            case Type.OBJECT -> TypeRef.of(type.getClassName());
            default -> new TypeRef.Primitive(type.getClassName());
        };
    }

    /** Visits a signature and passes over every part that is not asked for. */
    private abstract static class Parts extends SignatureVisitor {
        Parts() {
            super(Opcodes.ASM9);
        }
    }

    /** Builds one type and hands it on when it is whole. */
    private static final class TypeBuilder extends SignatureVisitor {
        private final Consumer<TypeRef> whole;
        private String name;
        private List<TypeRef> arguments = new ArrayList<>();

        TypeBuilder(Consumer<TypeRef> whole) {
            super(Opcodes.ASM9);
            this.whole = whole;
        }

        @Override
        public void visitBaseType(char descriptor) {
            whole.accept(
                    new TypeRef.Primitive(Type.getType(String.valueOf(descriptor)).getClassName()));
        }

        @Override
        public void visitTypeVariable(String variable) {
            whole.accept(new TypeRef.Variable(variable));
        }

        @Override
        public SignatureVisitor visitArrayType() {
            return new TypeBuilder(element -> whole.accept(new TypeRef.ArrayType(element)));
        }

        @Override
        public void visitClassType(String internalName) {
            name = internalName.replace('/', '.');
        }

        @Override
        public void visitInnerClassType(String innerName) {
            // Arguments of the outer class do not count: p.Outer<A>.Inner<B> is p.Outer$Inner<B>.
            name = name + '$' + innerName;
            arguments = new ArrayList<>();
        }

        @Override
        public void visitTypeArgument() {
            arguments.add(new TypeRef.Wildcard("", Optional.empty()));
        }

        @Override
        public SignatureVisitor visitTypeArgument(char wildcard) {
            return switch (wildcard) {
                case EXTENDS -> new TypeBuilder(bound -> arguments.add(wildcard("extends", bound)));
                case SUPER -> new TypeBuilder(bound -> arguments.add(wildcard("super", bound)));
                default -> new TypeBuilder(arguments::add);
            };
        }

        @Override
        public void visitEnd() {
            whole.accept(new ClassType(name, arguments));
        }

        private static TypeRef wildcard(String word, TypeRef bound) {
            boolean any = word.equals("extends") && bound.text().equals("java.lang.Object");
            return any
                    ? new TypeRef.Wildcard("", Optional.empty())
                    : new TypeRef.Wildcard(word, Optional.of(bound));
        }
    }
}
