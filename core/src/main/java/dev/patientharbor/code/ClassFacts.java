package dev.patientharbor.code;

import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What one class file says.
 *
 * @param name the binary name, {@code p.Outer$Inner}
 * @param access its modifiers; those of the source for a nested class; a bit beyond the 16 of the
 *     class file says that it is no member of a class (JVMS 4.7.6)
 * @param signature its type parameters and generic supertypes, as in JVMS 4.7.9.1
 * @param superName the binary name of its superclass; empty for {@code Object}
 * @param interfaces the binary names of its interfaces, in order
 * @param annotations the marks on it
 * @param permitted the binary names of its subclasses, if it is sealed (JVMS 4.7.31)
 * @param constructors its constructors, in the order of the class file; of a record the one with
 *     its components comes first (JVMS 4.7.30)
 * @param fields its fields that carry marks
 * @param methods its methods that carry marks
 * @param unmarkedMethods name and erased parameters of the methods that may override one of a
 *     superclass and carry no mark
 * @param memberDefaults for an annotation, the members that have a default, as text
 * @param enumConstants for an enum, the names of its constants, in order
 * @param openMethods name and erased types of its abstract methods
 * @param closedMethods its methods of objects that have a body and are not private, those that the
 *     compiler adds included
 * @param bodies what its bodies say
 */
public record ClassFacts(
        String name,
        int access,
        Optional<String> signature,
        Optional<String> superName,
        List<String> interfaces,
        List<AnnotationFacts> annotations,
        List<String> permitted,
        List<ExecutableFacts> constructors,
        List<FieldFacts> fields,
        List<ExecutableFacts> methods,
        Set<String> unmarkedMethods,
        Map<String, String> memberDefaults,
        List<String> enumConstants,
        Set<String> openMethods,
        MethodSet closedMethods,
        BodyFacts bodies) {

    /** Sorts classes by name. */
    static final Comparator<ClassFacts> BY_NAME = Comparator.comparing(ClassFacts::name);

    /** The flag of a class that stands in a method, or has no name. */
    static final int IN_METHOD = 0x10000;

    /** The flag of a class with static fields that are more than values written down. */
    static final int HAS_STATICS = 0x20000;

    private static final int ENUM = 0x4000;

    /** Returns the facts of a thing that is no class: its name alone. */
    public static ClassFacts named(String name) {
        return new ClassFacts(
                name,
                Modifier.PUBLIC,
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Set.of(),
                Map.of(),
                List.of(),
                Set.of(),
                MethodSet.NONE,
                BodyFacts.NONE);
    }

    /** Whether it names its subclasses, so that nobody can make another one. */
    public boolean isSealed() {
        return !permitted.isEmpty();
    }

    /** The names of its type parameters, in order. */
    public List<String> typeParameters() {
        return TypeSignatures.typeParameters(signature);
    }

    /** The first bound of each of its type parameters, in order: {@code Object} without a word. */
    public List<TypeRef> bounds() {
        return TypeSignatures.bounds(signature);
    }

    /** All bounds of each of its type parameters, in order. */
    public List<List<TypeRef>> allBounds() {
        return TypeSignatures.allBounds(signature);
    }

    /** The binary names of its superclass and its interfaces, in order. */
    List<String> superNames() {
        return Stream.concat(superName.stream(), interfaces.stream()).toList();
    }

    /** Its superclass and interfaces with their type arguments, in order. */
    public List<ClassType> supertypes() {
        return TypeSignatures.supertypes(this);
    }

    /** The class with its own type parameters as arguments. */
    public ClassType asType() {
        List<TypeRef> arguments = new ArrayList<>(0);
        for (String parameter : typeParameters()) {
            arguments.add(new TypeRef.Variable(parameter));
        }
        return new ClassType(name, arguments);
    }

    /** The package, empty for the unnamed one. */
    public String packageName() {
        return packageOf(name);
    }

    /** Returns the package of a class, given by its binary name; blank for the unnamed one. */
    public static String packageOf(String name) {
        return name.substring(0, Math.max(0, name.lastIndexOf('.')));
    }

    public boolean isInterface() {
        return Modifier.isInterface(access);
    }

    public boolean isAbstract() {
        return Modifier.isAbstract(access);
    }

    public boolean isPrivate() {
        return Modifier.isPrivate(access);
    }

    /** Returns whether an object of it exists only within an object of the class around it. */
    public boolean isInner() {
        int end = name.lastIndexOf('$');
        if (end < 0 || Modifier.isStatic(access) || isInterface() || constructors.isEmpty()) {
            return false;
        }
        String outer = name.substring(0, end);
        return constructors.stream()
                .map(ExecutableFacts::erasedParameterTypes)
                .allMatch(types -> !types.isEmpty() && types.get(0).equals(outer));
    }

    public boolean isEnum() {
        return (access & ENUM) != 0;
    }

    /** Returns whether it stands in a method, or has no name, so that no file can name it. */
    public boolean isInMethod() {
        return (access & IN_METHOD) != 0;
    }

    /** Returns whether it has static fields that are more than values written down. */
    public boolean hasStatics() {
        return (access & HAS_STATICS) != 0;
    }

    /** Returns whether objects of it have a method of that name that others may call. */
    public boolean hasMethodOfObjects(String method) {
        return closedMethods.hasNamed(method)
                || openMethods.stream().anyMatch(open -> open.startsWith(method + '('));
    }

    public boolean isRecord() {
        return superName.filter("java.lang.Record"::equals).isPresent();
    }
}
