package dev.patientharbor.code;

import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.objectweb.asm.AnnotationVisitor;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.FieldVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.RecordComponentVisitor;
import org.objectweb.asm.Type;

/**
 * Collects the declarations of one class file. In loops: what subclasses the bytecode library gets
 * no place for its lambdas in a class-data archive, and each would cost at every start.
 */
final class FactsCollector extends ClassVisitor {

    /** The flags of a class file; the bytecode library adds its own beyond them. */
    private static final int OF_CLASS_FILE = 0xFFFF;

    private String name;
    private int access;
    private Optional<String> signature;
    private Optional<String> superName;
    private final List<String> interfaces = new ArrayList<>(2);
    private final List<AnnotationFacts> annotations = new ArrayList<>(1);
    private final List<ExecutableCollector> constructors = new ArrayList<>(1);
    private final List<FieldFacts> fields = new ArrayList<>(0);
    private final List<ExecutableCollector> methods = new ArrayList<>(0);
    private final Set<String> unmarkedMethods = new HashSet<>(0);
    private final Map<String, String> memberDefaults = new HashMap<>(0);
    private final List<String> enumConstants = new ArrayList<>(0);
    private final List<LookupFacts> lookups = new ArrayList<>(0);
    private final Map<String, ConstantFacts> constants = new HashMap<>(0);
    private final List<MethodFacts> calls = new ArrayList<>(0);
    private final Set<String> throwing = new HashSet<>(0);
    private final Set<String> openMethods = new HashSet<>(0);
    private Set<String> obtained = Set.of();
    private ClassMentions mentioned = ClassMentions.NONE;
    private int statics;
    private final List<String> nested = new ArrayList<>(0);
    private final List<String> permitted = new ArrayList<>(0);
    private final StringBuilder componentTypes = new StringBuilder(0);
    private final List<String> componentNames = new ArrayList<>(0);
    private final MethodSet.Builder closedMethods = new MethodSet.Builder();
    private boolean mayHaveConstants;

    /** The constructor of a record that takes its components; null where none was met. */
    private ExecutableCollector ofComponents;

    /**
     * The methods whose parameter names are wanted, by name and descriptor; null until asked for.
     */
    private Map<String, ExecutableCollector> lackingNames;

    private final FactsRequest request;

    FactsCollector(FactsRequest request) {
        super(Opcodes.ASM9);
        this.request = request;
    }

    static String className(String internalName) {
        return internalName.replace('/', '.');
    }

    static AnnotationVisitor annotation(String descriptor, List<AnnotationFacts> into) {
        return new AnnotationCollector(
                members -> into.add(new AnnotationFacts(typeName(descriptor), members)));
    }

    private static String typeName(String descriptor) {
        return className(descriptor.substring(1, descriptor.length() - 1));
    }

    @Override
    public void visit(
            int version,
            int flags,
            String internalName,
            String generic,
            String superType,
            String[] interfaceTypes) {
        ShapeLimit.check(generic);
        name = className(internalName);
        access = flags & OF_CLASS_FILE & ~Opcodes.ACC_SUPER;
        signature = Optional.ofNullable(generic);
        superName = superType == null ? Optional.empty() : Optional.of(className(superType));
        for (String interfaceType : interfaceTypes) {
            interfaces.add(className(interfaceType));
        }
    }

    @Override
    public void visitInnerClass(String internalName, String outer, String inner, int flags) {
        if (className(internalName).equals(name)) {
            access = outer == null ? flags | ClassFacts.IN_METHOD : flags;
        } else if (isWithin(className(internalName))) {
            nested.add(className(internalName));
        }
    }

    private boolean isWithin(String other) {
        return other.length() > name.length()
                && other.charAt(name.length()) == '$'
                && other.startsWith(name);
    }

    /** Sets the types that its bodies may make or fetch. */
    void mentions(ClassMentions classes) {
        mentioned = classes;
    }

    void obtained(Set<String> types) {
        obtained = types;
    }

    @Override
    public void visitPermittedSubclass(String internalName) {
        permitted.add(className(internalName));
    }

    @Override
    public RecordComponentVisitor visitRecordComponent(
            String component, String descriptor, String generic) {
        componentTypes.append(descriptor);
        componentNames.add(component);
        return null;
    }

    @Override
    public AnnotationVisitor visitAnnotation(String descriptor, boolean visible) {
        return visible ? annotation(descriptor, annotations) : null;
    }

    @Override
    public FieldVisitor visitField(
            int flags, String field, String descriptor, String generic, Object constant) {
        ShapeLimit.check(descriptor);
        ShapeLimit.check(generic);
        if ((flags & Opcodes.ACC_ENUM) != 0) {
            enumConstants.add(field);
        }
        if ((flags & Opcodes.ACC_STATIC) != 0
                && (flags & Opcodes.ACC_SYNTHETIC) == 0
                && constant == null) {
            statics = ClassFacts.HAS_STATICS;
        }
        return new FieldVisitor(Opcodes.ASM9) {
            private final List<AnnotationFacts> marks = new ArrayList<>(0);

            @Override
            public AnnotationVisitor visitAnnotation(String type, boolean visible) {
                return visible ? annotation(type, marks) : null;
            }

            @Override
            public void visitEnd() {
                if (!marks.isEmpty()) {
                    fields.add(
                            new FieldFacts(
                                    field,
                                    flags,
                                    descriptor,
                                    Optional.ofNullable(generic),
                                    List.copyOf(marks)));
                }
            }
        };
    }

    @Override
    public MethodVisitor visitMethod(
            int flags, String method, String descriptor, String generic, String[] thrown) {
        ShapeLimit.check(descriptor);
        ShapeLimit.check(generic);
        boolean ofObjects =
                (flags & (Opcodes.ACC_STATIC | Opcodes.ACC_PRIVATE)) == 0
                        && method.charAt(0) != '<';
        if (ofObjects && (flags & Opcodes.ACC_ABSTRACT) != 0) {
            openMethods.add(method + descriptor);
        } else if (ofObjects) {
            closedMethods.add(method, descriptor);
        }
        if (method.equals("<clinit>") || (flags & Opcodes.ACC_SYNTHETIC) != 0) {
            return null;
        }
        mayHaveConstants |= request.isConstant(method, descriptor);
        ExecutableCollector collector =
                new ExecutableCollector(flags, method, descriptor, generic, thrown);
        if (method.equals("<init>")) {
            addConstructor(collector, descriptor);
            return collector;
        }
        collector.whenDone(this);
        return collector;
    }

    /** A record is made of its components, whose names it knows; what else makes it comes after. */
    private void addConstructor(ExecutableCollector collector, String descriptor) {
        boolean isOfComponents = isRecord() && descriptor.equals("(" + componentTypes + ")V");
        constructors.add(isOfComponents ? 0 : constructors.size(), collector);
        if (isOfComponents) {
            ofComponents = collector;
        }
    }

    private boolean isRecord() {
        return superName.isPresent() && superName.get().equals("java.lang.Record");
    }

    @Override
    public void visitEnd() {
        if (ofComponents != null) {
            ofComponents.parameterNames(componentNames);
        }
    }

    /** Keeps of a method that has been read what matters. */
    void keepMethod(ExecutableCollector method) {
        if (method.memberDefault().isPresent()) {
            memberDefaults.put(method.facts().name(), method.memberDefault().get());
        }
        if (method.isMarked() || request.wantsMethodsOf(name, Modifier.isAbstract(access))) {
            methods.add(method);
        } else if (mayOverride(method)) {
            unmarkedMethods.add(method.overrideKey());
        }
    }

    private boolean mayOverride(ExecutableCollector method) {
        return !Modifier.isStatic(method.access())
                && !Modifier.isPrivate(method.access())
                && superName.isPresent()
                && !superName.get().equals("java.lang.Object");
    }

    /** The lookups in the bodies of the class, to be added to. */
    List<LookupFacts> lookups() {
        return lookups;
    }

    /** The constants that its methods return, to be added to. */
    Map<String, ConstantFacts> constants() {
        return constants;
    }

    /** The methods of wanted contracts that its bodies call, to be added to. */
    List<MethodFacts> calls() {
        return calls;
    }

    /** Its methods that never return, to be added to. */
    Set<String> throwing() {
        return throwing;
    }

    String name() {
        return name;
    }

    /** Whether a method is there whose constant answer is wanted. */
    boolean mayHaveConstants() {
        return mayHaveConstants;
    }

    /** Whether the names of some parameters that matter can only be had from the method bodies. */
    boolean lacksParameterNames() {
        return lacksParameterNames(constructors) || lacksParameterNames(methods);
    }

    private static boolean lacksParameterNames(List<ExecutableCollector> among) {
        for (ExecutableCollector collector : among) {
            if (collector.lacksNames()) {
                return true;
            }
        }
        return false;
    }

    /** The constructor or marked method whose parameter names are still wanted. */
    Optional<ExecutableCollector> wanting(String method, String descriptor) {
        if (lackingNames == null) {
            lackingNames = new HashMap<>();
            addLackingNames(constructors);
            addLackingNames(methods);
        }
        return Optional.ofNullable(lackingNames.get(method + descriptor));
    }

    private void addLackingNames(List<ExecutableCollector> among) {
        for (ExecutableCollector collector : among) {
            if (collector.lacksNames()) {
                lackingNames.put(collector.nameAndDescriptor(), collector);
            }
        }
    }

    ClassFacts facts() {
        return new ClassFacts(
                name,
                access | statics,
                signature,
                superName,
                List.copyOf(interfaces),
                List.copyOf(annotations),
                List.copyOf(permitted),
                facts(constructors),
                List.copyOf(fields),
                facts(methods),
                Set.copyOf(unmarkedMethods),
                Map.copyOf(memberDefaults),
                List.copyOf(enumConstants),
                Set.copyOf(openMethods),
                closedMethods.set(),
                bodies());
    }

    private BodyFacts bodies() {
        boolean nothing =
                lookups.isEmpty()
                        && constants.isEmpty()
                        && calls.isEmpty()
                        && throwing.isEmpty()
                        && obtained.isEmpty()
                        && mentioned == ClassMentions.NONE
                        && nested.isEmpty();
        return nothing
                ? BodyFacts.NONE
                : new BodyFacts(lookups, constants, calls, throwing, obtained, mentioned, nested);
    }

    private static List<ExecutableFacts> facts(List<ExecutableCollector> collected) {
        List<ExecutableFacts> facts = new ArrayList<>(collected.size());
        for (ExecutableCollector collector : collected) {
            facts.add(collector.facts());
        }
        return List.copyOf(facts);
    }

    /** The text of an annotation member's value. */
    static String text(Object value) {
        return value instanceof Type type ? type.getClassName() : String.valueOf(value);
    }
}
