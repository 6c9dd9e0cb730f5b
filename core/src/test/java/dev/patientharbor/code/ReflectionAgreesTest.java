package dev.patientharbor.code;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.terms.TypeRef;
import java.io.IOException;
import java.lang.invoke.MethodType;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.Constructor;
import java.lang.reflect.GenericArrayType;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.lang.reflect.TypeVariable;
import java.lang.reflect.WildcardType;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is read from a class file is what the running JDK says of the class, generics included. */
class ReflectionAgreesTest {

    private static final FactsRequest CONTRACTS = FactsRequest.of(true, Set.of());

    @Test
    void for_thousands_of_classes_of_the_jdk_and_of_real_libraries() throws IOException {
        JdkClasses jdk = new JdkClasses(CONTRACTS);
        List<String> differences = new ArrayList<>();
        int compared = 0;
        for (String name : RealClasses.ofJavaBase()) {
            // Reflection hides its own fields, and the JDK's linker makes the Holder classes anew.
            boolean own =
                    name.startsWith("java.lang.reflect.")
                            || name.equals("java.lang.Module")
                            || name.endsWith("$Holder");
            if (name.startsWith("java.") && !own) {
                compared += compare(jdk.find(name).orElseThrow(), differences);
            }
        }
        CodeIndex code =
                CodeReader.open(
                                RealClasses.ofTheBuild().stream()
                                        .map(ReflectionAgreesTest::root)
                                        .toList(),
                                CONTRACTS)
                        .whole();
        for (ClassFacts facts : code.sorted()) {
            compared += compare(facts, differences);
        }
        assertTrue(compared > 4000, "compared " + compared);
        assertEquals(List.of(), differences.stream().limit(20).toList());
    }

    private static CodeRoot root(Path jar) {
        return new CodeRoot(
                new dev.patientharbor.terms.WrittenName(
                        jar.toString(), dev.patientharbor.finding.SourcePosition.startOf("here")),
                jar);
    }

    private static int compare(ClassFacts facts, List<String> differences) {
        String read;
        String reflected;
        try {
            Class<?> type =
                    Class.forName(facts.name(), false, ReflectionAgreesTest.class.getClassLoader());
            reflected = describe(type) + " unlike []";
            read = describe(facts) + " unlike " + ofObjects(facts, type);
        } catch (ReflectiveOperationException | LinkageError | TypeNotPresentException absent) {
            // The library names classes that are not on this class path: nothing to compare with.
            return 0;
        }
        if (!read.equals(reflected)) {
            differences.add("read      " + read + "\nreflected " + reflected);
        }
        return 1;
    }

    /** The methods of objects, those that the compiler adds included: with a body, or abstract. */
    private static String ofObjects(ClassFacts facts, Class<?> type) {
        List<String> unlike = new ArrayList<>();
        int open = 0;
        for (java.lang.reflect.Method method : type.getDeclaredMethods()) {
            int flags = method.getModifiers();
            if (!Modifier.isStatic(flags) && !Modifier.isPrivate(flags)) {
                String descriptor =
                        MethodType.methodType(method.getReturnType(), method.getParameterTypes())
                                .toMethodDescriptorString();
                boolean isOpen = facts.openMethods().contains(method.getName() + descriptor);
                boolean isClosed = facts.closedMethods().has(method.getName() + descriptor);
                open += isOpen ? 1 : 0;
                if (isOpen != Modifier.isAbstract(flags) || isClosed == isOpen) {
                    unlike.add(method.toString());
                }
            }
        }
        return open == facts.openMethods().size() ? unlike.toString() : "too many: " + unlike;
    }

    private static String describe(ClassFacts facts) {
        return facts.name()
                + list(facts.typeParameters())
                + " bounds "
                + facts.bounds().stream().map(TypeRef::text).toList()
                + " methods "
                + (facts.isAbstract() ? methods(facts) : "")
                + " super "
                + facts.supertypes().stream()
                        .map(TypeRef::text)
                        .filter(text -> !facts.isInterface() || !text.equals("java.lang.Object"))
                        .toList()
                + (facts.isAbstract() ? " abstract" : "")
                + (facts.isPrivate() ? " private" : "")
                + (facts.isEnum() ? " enum" : "")
                + (facts.isRecord() ? " record" : "")
                + " marks "
                + marks(facts.annotations())
                + " made by "
                + sorted(facts.constructors().stream().map(ReflectionAgreesTest::describe))
                + " fields "
                + sorted(
                        facts.fields().stream()
                                .map(field -> field.name() + ":" + field.type().text()));
    }

    /** The methods of a contract: what they take, return and may throw. */
    private static String methods(ClassFacts facts) {
        return sorted(
                facts.methods().stream()
                        .map(
                                executable ->
                                        executable.name()
                                                + executable.parameterTypes().stream()
                                                        .map(TypeRef::text)
                                                        .toList()
                                                + executable.returnType().text()
                                                + new TreeSet<>(executable.thrown())));
    }

    private static String methods(Class<?> type) {
        return sorted(
                Arrays.stream(type.getDeclaredMethods())
                        .filter(method -> !method.isSynthetic())
                        .map(
                                method ->
                                        method.getName()
                                                + Arrays.stream(method.getGenericParameterTypes())
                                                        .map(ReflectionAgreesTest::text)
                                                        .toList()
                                                + text(method.getGenericReturnType())
                                                + new TreeSet<>(
                                                        Arrays.stream(method.getExceptionTypes())
                                                                .map(Class::getName)
                                                                .toList())));
    }

    private static String describe(ExecutableFacts made) {
        List<TypeRef> types = made.parameterTypes();
        StringBuilder text = new StringBuilder(made.isPrivate() ? "private(" : "(");
        for (int i = 0; i < types.size(); i++) {
            text.append(types.get(i).text());
            text.append(marks(made.parameterAnnotations(i)));
        }
        return text + ")" + marks(made.annotations());
    }

    /** Reflection is silent about annotations whose classes are not there. */
    private static String marks(List<AnnotationFacts> annotations) {
        ClassLoader loader = ReflectionAgreesTest.class.getClassLoader();
        return sorted(
                annotations.stream()
                        .map(AnnotationFacts::type)
                        .filter(
                                name ->
                                        name.startsWith("java.lang.")
                                                || name.startsWith("jdk.")
                                                || loader.getResource(
                                                                name.replace('.', '/') + ".class")
                                                        != null));
    }

    private static String describe(Class<?> type) throws ReflectiveOperationException {
        List<String> supertypes = new ArrayList<>();
        Optional.ofNullable(type.getGenericSuperclass()).ifPresent(t -> supertypes.add(text(t)));
        Arrays.stream(type.getGenericInterfaces()).forEach(t -> supertypes.add(text(t)));
        int modifiers = type.getModifiers();
        return type.getName()
                + list(Arrays.stream(type.getTypeParameters()).map(TypeVariable::getName).toList())
                + " bounds "
                + Arrays.stream(type.getTypeParameters())
                        .map(variable -> text(variable.getBounds()[0]))
                        .toList()
                + " methods "
                + (java.lang.reflect.Modifier.isAbstract(modifiers) ? methods(type) : "")
                + " super "
                + supertypes
                + (java.lang.reflect.Modifier.isAbstract(modifiers) ? " abstract" : "")
                + (java.lang.reflect.Modifier.isPrivate(modifiers) ? " private" : "")
                + ((modifiers & 0x4000) != 0 ? " enum" : "")
                + (type.getSuperclass() == Record.class ? " record" : "")
                + " marks "
                + marks(type)
                + " made by "
                + sorted(
                        Arrays.stream(type.getDeclaredConstructors())
                                .filter(constructor -> !constructor.isSynthetic())
                                .map(ReflectionAgreesTest::describe))
                + " fields "
                + sorted(
                        Arrays.stream(type.getDeclaredFields())
                                .filter(field -> field.getDeclaredAnnotations().length > 0)
                                .map(
                                        field ->
                                                field.getName()
                                                        + ":"
                                                        + text(field.getGenericType())));
    }

    private static String describe(Constructor<?> made) {
        // Reflection leaves out what the compiler added in front; the erased types say what it was.
        Class<?>[] erased = made.getParameterTypes();
        Type[] generic = made.getGenericParameterTypes();
        var annotations = made.getParameterAnnotations();
        int added = erased.length - generic.length;
        int unmarked = erased.length - annotations.length;
        boolean isPrivate = java.lang.reflect.Modifier.isPrivate(made.getModifiers());
        StringBuilder text = new StringBuilder(isPrivate ? "private(" : "(");
        for (int i = 0; i < erased.length; i++) {
            text.append(text(i < added ? erased[i] : generic[i - added]));
            text.append(
                    i < unmarked
                            ? "[]"
                            : sorted(
                                    Arrays.stream(annotations[i - unmarked])
                                            .map(
                                                    annotation ->
                                                            annotation
                                                                    .annotationType()
                                                                    .getName())));
        }
        return text + ")" + marks(made);
    }

    private static String marks(AnnotatedElement element) {
        return sorted(
                Arrays.stream(element.getDeclaredAnnotations())
                        .map(annotation -> annotation.annotationType().getName()));
    }

    private static String sorted(Stream<String> texts) {
        return new TreeSet<>(texts.toList()).toString();
    }

    private static String list(Collection<String> texts) {
        return texts.isEmpty() ? "" : "<" + String.join(",", texts) + ">";
    }

    private static String text(Type type) {
        if (type instanceof Class<?> one) {
            return one.isArray() ? text(one.getComponentType()) + "[]" : one.getName();
        }
        if (type instanceof GenericArrayType array) {
            return text(array.getGenericComponentType()) + "[]";
        }
        if (type instanceof TypeVariable<?> variable) {
            return variable.getName();
        }
        if (type instanceof WildcardType wildcard) {
            if (wildcard.getLowerBounds().length > 0) {
                return "? super " + text(wildcard.getLowerBounds()[0]);
            }
            Type upper = wildcard.getUpperBounds()[0];
            return upper == Object.class ? "?" : "? extends " + text(upper);
        }
        ParameterizedType generic = (ParameterizedType) type;
        String name = ((Class<?>) generic.getRawType()).getName();
        return generic.getActualTypeArguments().length == 0
                ? name
                : Arrays.stream(generic.getActualTypeArguments())
                        .map(ReflectionAgreesTest::text)
                        .collect(Collectors.joining(",", name + "<", ">"));
    }
}
