package dev.patientharbor.start;

import java.lang.reflect.Modifier;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/** The methods of the JDK for which the copy of the jar has some of its own. */
final class ReplacedMethods {

    /** What stands for a class of the JDK, all of it static. */
    private static final Map<Class<?>, Class<?>> OWN =
            Map.of(
                    Comparator.class,
                    ComparatorMethods.class,
                    Collectors.class,
                    CollectorMethods.class);

    private static final Map<String, Class<?>> BY_OWNER =
            OWN.entrySet().stream()
                    .collect(
                            Collectors.toMap(
                                    entry -> Type.getInternalName(entry.getKey()),
                                    Map.Entry::getValue));

    private static final Map<Class<?>, Set<String>> SHAPES =
            OWN.values().stream().collect(Collectors.toMap(own -> own, ReplacedMethods::shapes));

    private ReplacedMethods() {}

    private static Set<String> shapes(Class<?> own) {
        return Arrays.stream(own.getMethods())
                .filter(method -> Modifier.isStatic(method.getModifiers()))
                .map(method -> method.getName() + Type.getMethodDescriptor(method))
                .collect(Collectors.toSet());
    }

    /** The classes that hold them. */
    static List<Class<?>> holders() {
        return List.copyOf(OWN.values());
    }

    /**
     * A static method that does what a method of the JDK does.
     *
     * @param owner its class, with slashes
     * @param taken what it takes: first the object, if that one is called on an object
     */
    record OwnMethod(String owner, String name, String taken) {}

    /** Returns the method that stands for one that is called; empty for most. */
    static Optional<OwnMethod> of(int opcode, String owner, String name, String descriptor) {
        Class<?> holder = BY_OWNER.get(owner);
        if (holder == null) {
            return Optional.empty();
        }
        String taken =
                opcode == Opcodes.INVOKESTATIC
                        ? descriptor
                        : "(L" + owner + ';' + descriptor.substring(1);
        return SHAPES.get(holder).contains(name + taken)
                ? Optional.of(new OwnMethod(Type.getInternalName(holder), name, taken))
                : Optional.empty();
    }
}
