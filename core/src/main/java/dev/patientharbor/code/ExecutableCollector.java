package dev.patientharbor.code;

import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.objectweb.asm.AnnotationVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/** Collects one constructor or method: its marks, and the names of its parameters. */
final class ExecutableCollector extends MethodVisitor {

    private static final String[] NOTHING = {};

    private final int access;
    private final String name;
    private final String descriptor;
    private final Optional<String> signature;
    private final List<String> parameterNames = new ArrayList<>(0);
    private final List<AnnotationFacts> annotations = new ArrayList<>(0);
    private final List<List<AnnotationFacts>> parameterAnnotations = new ArrayList<>(0);
    private final String[] thrown;
    private String memberDefault;
    private int annotable = -1;
    private FactsCollector keeper;

    ExecutableCollector(
            int access, String name, String descriptor, String signature, String[] thrown) {
        super(Opcodes.ASM9);
        this.access = access;
        this.name = name;
        this.descriptor = descriptor;
        this.signature = Optional.ofNullable(signature);
        this.thrown = thrown == null ? NOTHING : thrown;
    }

    /** Hands itself over to a keeper when it has been read. */
    void whenDone(FactsCollector keeper) {
        this.keeper = keeper;
    }

    int access() {
        return access;
    }

    boolean isMarked() {
        return !annotations.isEmpty();
    }

    String nameAndDescriptor() {
        return name + descriptor;
    }

    boolean lacksNames() {
        // Parameters that the compiler adds have the others told with it, without a name.
        return (parameterNames.isEmpty() || parameterNames.contains(""))
                && !descriptor.startsWith("()")
                && !Modifier.isAbstract(access);
    }

    /** Takes names for those parameters that have none yet; blank ones say nothing. */
    void parameterNames(List<String> names) {
        for (int i = 0; i < names.size(); i++) {
            if (i == parameterNames.size()) {
                parameterNames.add(names.get(i));
            } else if (parameterNames.get(i).isEmpty()) {
                parameterNames.set(i, names.get(i));
            }
        }
    }

    Optional<String> memberDefault() {
        return Optional.ofNullable(memberDefault);
    }

    String overrideKey() {
        return name + descriptor.substring(0, descriptor.indexOf(')') + 1);
    }

    @Override
    public void visitParameter(String parameter, int flags) {
        parameterNames.add(parameter == null ? "" : parameter);
    }

    @Override
    public AnnotationVisitor visitAnnotation(String type, boolean visible) {
        return visible ? FactsCollector.annotation(type, annotations) : null;
    }

    @Override
    public void visitAnnotableParameterCount(int count, boolean visible) {
        if (visible) {
            annotable = count;
        }
    }

    @Override
    public AnnotationVisitor visitParameterAnnotation(int parameter, String type, boolean visible) {
        if (!visible) {
            return null;
        }
        // Parameters that the compiler adds in front carry no marks and may not be counted.
        int count = Type.getArgumentTypes(descriptor).length;
        int index = parameter + (annotable < 0 ? 0 : Math.max(0, count - annotable));
        while (parameterAnnotations.size() <= index) {
            parameterAnnotations.add(new ArrayList<>(1));
        }
        return FactsCollector.annotation(type, parameterAnnotations.get(index));
    }

    @Override
    public AnnotationVisitor visitAnnotationDefault() {
        return AnnotationCollector.single(value -> memberDefault = value);
    }

    @Override
    public void visitEnd() {
        if (keeper != null) {
            keeper.keepMethod(this);
        }
    }

    ExecutableFacts facts() {
        return new ExecutableFacts(
                name,
                access,
                descriptor,
                signature,
                List.copyOf(parameterNames),
                List.copyOf(annotations),
                copies(parameterAnnotations),
                classNames(thrown));
    }

    private static List<String> classNames(String[] internalNames) {
        List<String> names = new ArrayList<>(internalNames.length);
        for (String internalName : internalNames) {
            names.add(FactsCollector.className(internalName));
        }
        return List.copyOf(names);
    }

    private static List<List<AnnotationFacts>> copies(List<List<AnnotationFacts>> lists) {
        List<List<AnnotationFacts>> copies = new ArrayList<>(lists.size());
        for (List<AnnotationFacts> list : lists) {
            copies.add(List.copyOf(list));
        }
        return List.copyOf(copies);
    }
}
