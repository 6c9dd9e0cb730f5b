package dev.patientharbor.code;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * Finds calls of lookup methods whose arguments are constants: a class, or a class and a key,
 * pushed right before the call.
 */
final class LookupCollector extends ClassVisitor {

    private static final Pattern LAMBDA = Pattern.compile("lambda\\$(.+)\\$\\d+");
    private static final String CLASS = "java.lang.Class";

    private final FactsRequest request;
    private final List<LookupFacts> found;

    LookupCollector(FactsRequest request, List<LookupFacts> found) {
        super(Opcodes.ASM9);
        this.request = request;
        this.found = found;
    }

    @Override
    public MethodVisitor visitMethod(
            int access, String name, String descriptor, String generic, String[] thrown) {
        Matcher lambda = LAMBDA.matcher(name);
        return new Body(lambda.matches() ? lambda.group(1) : name);
    }

    private final class Body extends MethodVisitor {
        private final String method;
        private Type contract;
        private ConstantFacts key;

        Body(String method) {
            super(Opcodes.ASM9);
            this.method = method;
        }

        @Override
        public void visitLdcInsn(Object value) {
            if (value instanceof Type type && type.getSort() == Type.OBJECT) {
                contract = type;
                key = null;
            } else {
                key = value instanceof String ? ConstantFacts.plain(value) : null;
            }
        }

        @Override
        public void visitFieldInsn(int opcode, String owner, String name, String descriptor) {
            boolean constant = opcode == Opcodes.GETSTATIC && descriptor.equals('L' + owner + ';');
            key = constant ? ConstantFacts.field(owner, name) : null;
        }

        @Override
        public void visitMethodInsn(
                int opcode, String owner, String name, String descriptor, boolean ofInterface) {
            if (contract != null && request.isLookup(owner.replace('/', '.'), name)) {
                Type[] types = Type.getArgumentTypes(descriptor);
                boolean byClass = types.length > 0 && types[0].getClassName().equals(CLASS);
                boolean byKey = types.length == 2 && key != null;
                if (byClass && (types.length == 1 || byKey)) {
                    found.add(
                            new LookupFacts(
                                    method,
                                    contract.getClassName(),
                                    byKey ? Optional.of(key) : Optional.empty(),
                                    owner.replace('/', '.') + '#' + name));
                }
            }
            contract = null;
            key = null;
        }
    }
}
