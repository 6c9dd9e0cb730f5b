package dev.patientharbor.start;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Label;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.commons.GeneratorAdapter;
import org.objectweb.asm.commons.Method;
import org.objectweb.asm.commons.TableSwitchGenerator;

/**
 * The class whose objects several lambdas make that stand in one class. Each object knows which of
 * them it is; what it holds lies in slots that all of them share.
 *
 * <p>One class for each lambda is more to load: a check would load twice as many.
 */
final class LambdaClass {

    /** The virtual machine does not compile a method that is too long. */
    private static final int MOST_SITES = 100;

    private static final String WHICH = "which";
    private static final Type OBJECT = Type.getType(Object.class);

    private final Type itself;
    private final String host;
    private final int version;
    private final List<LambdaSite> sites = new ArrayList<>();
    private final ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_FRAMES);

    /**
     * A class without lambdas.
     *
     * @param name of the class, with slashes
     * @param host the class to whose nest it belongs, so that it may call what is private there
     */
    LambdaClass(String name, String host, int version) {
        itself = Type.getObjectType(name);
        this.host = host;
        this.version = version;
    }

    /** The name of the class, with slashes. */
    String name() {
        return itself.getInternalName();
    }

    boolean isFull() {
        return sites.size() == MOST_SITES;
    }

    /**
     * Adds a lambda, and writes the instruction that hands one out: what it holds is on the stack.
     */
    void add(LambdaSite site, GeneratorAdapter code) {
        int number = sites.size();
        sites.add(site);
        if (site.held().length == 0) {
            code.getStatic(itself, only(number), site.contract());
        } else {
            code.invokeStatic(itself, factory(number, site));
        }
    }

    /** The bytes of the class; it has a lambda, and is not asked again. */
    byte[] bytes() {
        String[] interfaces =
                sites.stream()
                        .map(site -> site.contract().getInternalName())
                        .distinct()
                        .toArray(String[]::new);
        int access = Opcodes.ACC_FINAL | Opcodes.ACC_SUPER | Opcodes.ACC_SYNTHETIC;
        String above = OBJECT.getInternalName();
        writer.visit(version, access, itself.getInternalName(), null, above, interfaces);
        writer.visitNestHost(host);
        Map<String, Type> slots = slots();
        slots.forEach((name, type) -> field(Opcodes.ACC_PRIVATE | Opcodes.ACC_FINAL, name, type));
        writeConstructor(slots);
        if (sites.stream().anyMatch(site -> site.held().length == 0)) {
            writeOnlyObjects(slots);
        }
        for (int i = 0; i < sites.size(); i++) {
            if (sites.get(i).held().length > 0) {
                writeFactory(i, slots);
            }
        }
        IntStream.range(0, sites.size())
                .boxed()
                .collect(
                        Collectors.groupingBy(
                                number -> sites.get(number).method(),
                                LinkedHashMap::new,
                                Collectors.toList()))
                .forEach((method, numbers) -> writeMethod(method, numbers, slots));
        writer.visitEnd();
        return writer.toByteArray();
    }

    /** What an object keeps, by name: which lambda it is, and what that holds. */
    private Map<String, Type> slots() {
        Map<String, Type> slots = new LinkedHashMap<>();
        if (sites.size() > 1) {
            slots.put(WHICH, Type.INT_TYPE);
        }
        for (LambdaSite site : sites) {
            String[] names = slotsOf(site);
            for (int i = 0; i < names.length; i++) {
                slots.merge(names[i], site.held()[i], (a, b) -> a.equals(b) ? a : OBJECT);
            }
        }
        return slots;
    }

    /** The slots for what a lambda holds, in order: the first of a sort, the second of it, ... */
    private static String[] slotsOf(LambdaSite site) {
        int[] used = new int[Type.OBJECT + 1];
        return Arrays.stream(site.held())
                .mapToInt(held -> Math.min(held.getSort(), Type.ARRAY))
                .mapToObj(sort -> "held" + sort + '_' + used[sort]++)
                .toArray(String[]::new);
    }

    private static Method constructor(Map<String, Type> slots) {
        return new Method("<init>", Type.VOID_TYPE, slots.values().toArray(new Type[0]));
    }

    private void writeConstructor(Map<String, Type> slots) {
        GeneratorAdapter code = method(Opcodes.ACC_PRIVATE, constructor(slots));
        code.loadThis();
        code.invokeConstructor(OBJECT, constructor(Map.of()));
        int argument = 0;
        for (Map.Entry<String, Type> slot : slots.entrySet()) {
            code.loadThis();
            code.loadArg(argument++);
            code.putField(itself, slot.getKey(), slot.getValue());
        }
        code.returnValue();
        code.endMethod();
    }

    /** A lambda that holds nothing is one object, as it is where the virtual machine writes it. */
    private void writeOnlyObjects(Map<String, Type> slots) {
        GeneratorAdapter code = method(Opcodes.ACC_STATIC, new Method("<clinit>", "()V"));
        for (int i = 0; i < sites.size(); i++) {
            LambdaSite site = sites.get(i);
            if (site.held().length == 0) {
                field(Opcodes.ACC_STATIC | Opcodes.ACC_FINAL, only(i), site.contract());
                writeObject(i, slots, code);
                code.putStatic(itself, only(i), site.contract());
            }
        }
        code.returnValue();
        code.endMethod();
    }

    private void writeFactory(int number, Map<String, Type> slots) {
        GeneratorAdapter code = method(Opcodes.ACC_STATIC, factory(number, sites.get(number)));
        writeObject(number, slots, code);
        code.returnValue();
        code.endMethod();
    }

    /** Makes the object of a lambda; the method being written takes what it holds. */
    private void writeObject(int number, Map<String, Type> slots, GeneratorAdapter code) {
        code.newInstance(itself);
        code.dup();
        List<String> own = Arrays.asList(slotsOf(sites.get(number)));
        slots.forEach(
                (name, type) -> {
                    if (name.equals(WHICH)) {
                        code.push(number);
                    } else if (own.contains(name)) {
                        code.loadArg(own.indexOf(name));
                    } else {
                        code.visitInsn(nothing(type));
                    }
                });
        code.invokeConstructor(itself, constructor(slots));
    }

    private static int nothing(Type type) {
        return switch (type.getSort()) {
            case Type.ARRAY, Type.OBJECT -> Opcodes.ACONST_NULL;
            case Type.LONG -> Opcodes.LCONST_0;
            case Type.FLOAT -> Opcodes.FCONST_0;
            case Type.DOUBLE -> Opcodes.DCONST_0;
            default -> Opcodes.ICONST_0;
        };
    }

    /** The method of an interface, for the lambdas of some numbers. */
    private void writeMethod(Method method, List<Integer> numbers, Map<String, Type> slots) {
        GeneratorAdapter code = method(Opcodes.ACC_PUBLIC, method);
        LambdaSite last = sites.get(numbers.get(numbers.size() - 1));
        if (numbers.size() > 1) {
            code.loadThis();
            code.getField(itself, WHICH, Type.INT_TYPE);
            int[] others = numbers.stream().limit(numbers.size() - 1).mapToInt(i -> i).toArray();
            code.tableSwitch(
                    others,
                    new TableSwitchGenerator() {
                        @Override
                        public void generateCase(int number, Label end) {
                            writeCall(sites.get(number), slots, code);
                        }

                        @Override
                        public void generateDefault() {
                            writeCall(last, slots, code);
                        }
                    });
        } else {
            writeCall(last, slots, code);
        }
        code.endMethod();
    }

    private void writeCall(LambdaSite site, Map<String, Type> slots, GeneratorAdapter code) {
        String[] names = slotsOf(site);
        LambdaCall.write(
                site,
                held -> {
                    Type slot = slots.get(names[held]);
                    code.loadThis();
                    code.getField(itself, names[held], slot);
                    if (!slot.equals(site.held()[held])) {
                        code.checkCast(site.held()[held]);
                    }
                },
                code);
        code.returnValue();
    }

    private void field(int access, String name, Type type) {
        writer.visitField(access, name, type.getDescriptor(), null, null).visitEnd();
    }

    private GeneratorAdapter method(int access, Method method) {
        GeneratorAdapter code =
                new GeneratorAdapter(
                        writer.visitMethod(
                                access, method.getName(), method.getDescriptor(), null, null),
                        access,
                        method.getName(),
                        method.getDescriptor());
        code.visitCode();
        return code;
    }

    private static String only(int number) {
        return "only" + number;
    }

    private static Method factory(int number, LambdaSite site) {
        return new Method("holding" + number, site.factory().getDescriptor());
    }
}
