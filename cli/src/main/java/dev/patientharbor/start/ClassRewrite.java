package dev.patientharbor.start;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Handle;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.commons.GeneratorAdapter;

/**
 * A class as it starts sooner: its lambdas have become classes, some methods of the JDK are {@link
 * ReplacedMethods}, texts are put together, and if it is a record its methods are written.
 */
final class ClassRewrite extends ClassVisitor {

    private static final int API = Opcodes.ASM9;

    private final List<LambdaClass> lambdaClasses = new ArrayList<>();
    private final Map<String, LambdaClass> lambdaClassOf = new HashMap<>();
    private final List<RecordMethod> recordMethods = new ArrayList<>();
    private final List<JoinedText> texts = new ArrayList<>();
    private boolean isInterface;
    private String simpleName;
    private String name;
    private String host;
    private int version;

    private ClassRewrite(ClassWriter writer) {
        super(API, writer);
    }

    static ClassRewrite of(byte[] bytes) {
        ClassWriter writer = new ClassWriter(0);
        ClassRewrite rewrite = new ClassRewrite(writer);
        new ClassReader(bytes).accept(rewrite, 0);
        return rewrite;
    }

    /** The same class, with more members of its nest. */
    static byte[] withMembers(byte[] bytes, List<String> members) {
        ClassWriter writer = new ClassWriter(0);
        new ClassReader(bytes)
                .accept(
                        new ClassVisitor(API, writer) {
                            @Override
                            public void visitEnd() {
                                members.forEach(this::visitNestMember);
                                super.visitEnd();
                            }
                        },
                        0);
        return writer.toByteArray();
    }

    byte[] bytes() {
        return ((ClassWriter) cv).toByteArray();
    }

    /** The classes of its lambdas. */
    List<LambdaClass> lambdaClasses() {
        return lambdaClasses;
    }

    String host() {
        return host;
    }

    @Override
    public void visit(
            int version,
            int access,
            String name,
            String signature,
            String superName,
            String[] interfaces) {
        this.name = name;
        this.host = name;
        this.simpleName = name.substring(name.lastIndexOf('/') + 1);
        this.version = version;
        isInterface = (access & Opcodes.ACC_INTERFACE) != 0;
        super.visit(version, access, name, signature, superName, interfaces);
    }

    @Override
    public void visitInnerClass(String inner, String outer, String innerName, int access) {
        if (inner.equals(name)) {
            simpleName = innerName;
        }
        super.visitInnerClass(inner, outer, innerName, access);
    }

    @Override
    public void visitEnd() {
        recordMethods.forEach(each -> each.write(cv, simpleName));
        texts.forEach(each -> each.write(cv));
        super.visitEnd();
    }

    @Override
    public void visitNestHost(String nestHost) {
        host = nestHost;
        super.visitNestHost(nestHost);
    }

    @Override
    public MethodVisitor visitMethod(
            int access, String method, String descriptor, String signature, String[] exceptions) {
        MethodVisitor next = super.visitMethod(access, method, descriptor, signature, exceptions);
        return new MethodVisitor(API, next) {
            @Override
            public void visitInvokeDynamicInsn(
                    String called, String factory, Handle bootstrap, Object... arguments) {
                Optional<LambdaSite> site = LambdaSite.of(called, factory, bootstrap, arguments);
                Optional<RecordMethod> ofRecord =
                        RecordMethod.of(called, factory, bootstrap, arguments);
                Optional<JoinedText> text =
                        JoinedText.of(texts.size(), factory, bootstrap, arguments);
                if (site.isPresent()) {
                    write(site.get(), new GeneratorAdapter(mv, access, method, descriptor));
                } else if (ofRecord.isPresent()) {
                    recordMethods.add(ofRecord.get());
                    super.visitMethodInsn(
                            Opcodes.INVOKESTATIC, name, ofRecord.get().written(), factory, false);
                } else if (text.isPresent()) {
                    texts.add(text.get());
                    super.visitMethodInsn(
                            Opcodes.INVOKESTATIC, name, text.get().written(), factory, isInterface);
                } else {
                    super.visitInvokeDynamicInsn(called, factory, bootstrap, arguments);
                }
            }

            @Override
            public void visitMethodInsn(
                    int opcode, String owner, String called, String taken, boolean inInterface) {
                Optional<ReplacedMethods.OwnMethod> own =
                        ReplacedMethods.of(opcode, owner, called, taken);
                if (own.isPresent()) {
                    super.visitMethodInsn(
                            Opcodes.INVOKESTATIC,
                            own.get().owner(),
                            called,
                            own.get().taken(),
                            false);
                } else {
                    super.visitMethodInsn(opcode, owner, called, taken, inInterface);
                }
            }
        };
    }

    private void write(LambdaSite site, GeneratorAdapter code) {
        // One class can be of all interfaces of java.util: these have no default method in common.
        String contract = site.contract().getInternalName();
        String shape = contract.startsWith("java/util/") ? "java/util/" : contract;
        LambdaClass lambdas = lambdaClassOf.get(shape);
        if (lambdas == null || lambdas.isFull()) {
            lambdas = new LambdaClass(name + "$Lambda" + lambdaClasses.size(), host, version);
            lambdaClasses.add(lambdas);
            lambdaClassOf.put(shape, lambdas);
        }
        lambdas.add(site, code);
    }
}
