package dev.patientharbor.tracing;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.tracing.TracedValue.Unknown;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.tree.InvokeDynamicInsnNode;
import org.objectweb.asm.tree.MethodInsnNode;

/**
 * What a call yields. Methods of the class that wires are run, and so are those of objects that it
 * made, if they take or hand out objects. A static method of another class is a factory.
 */
final class CallMeaning {

    private static final String LAMBDAS = "java/lang/invoke/LambdaMetafactory";
    private static final String PRINTER = "java.io.PrintStream";
    private static final String TEXTS = "java/lang/invoke/StringConcatFactory";
    private static final List<String> HANDING_OUT =
            List.of(
                    "java.util.function.Supplier",
                    "jakarta.inject.Provider",
                    "javax.inject.Provider");

    private final WiringRun wiring;
    private final MethodRun run;
    private final MethodName inside;
    private final Optional<TracedObject> self;
    private final JdkCalls jdk;

    CallMeaning(WiringRun wiring, MethodRun run, MethodName inside, Optional<TracedObject> self) {
        this.wiring = wiring;
        this.run = run;
        this.inside = inside;
        this.self = self;
        jdk = new JdkCalls(run::line);
    }

    private Unknown unknown(String what) {
        return new Unknown(what, run.line(), Optional.empty());
    }

    private static String shortName(String type) {
        return MethodRun.shortName(type);
    }

    /**
     * Returns what a call yields.
     *
     * @param values the object that it is called on, if any, then the arguments
     */
    TracedValue call(MethodInsnNode call, List<TracedValue> values) {
        MethodName called = new MethodName(className(call.owner), call.name, call.desc);
        boolean isStatic = call.getOpcode() == Opcodes.INVOKESTATIC;
        if (called.isConstructor()) {
            construct(called, values);
            return new TracedValue.Nothing();
        }
        Optional<TracedValue> modelled = jdk.call(called, isStatic, values);
        if (modelled.isPresent()) {
            return modelled.get();
        }
        return isStatic
                ? callStatic(called, values)
                : callOn(
                        called,
                        call.getOpcode() == Opcodes.INVOKESPECIAL,
                        values.get(0),
                        values.subList(1, values.size()));
    }

    /**
     * Calls a constructor. For a private one of a nested class the compiler may add another, with
     * one parameter more that means nothing: the private one is meant.
     */
    private void construct(MethodName named, List<TracedValue> values) {
        boolean isAdded = wiring.trees().body(named).filter(CallMeaning::isSynthetic).isPresent();
        MethodName called = isAdded ? withoutLastParameter(named) : named;
        TracedValue receiver = values.get(0);
        List<TracedValue> arguments = values.subList(1, values.size() - (isAdded ? 1 : 0));
        receiver.collection()
                .ifPresent(collection -> JdkCollections.construct(collection, arguments));
        Optional<TracedObject> object = receiver.object();
        if (object.isPresent() && inside.isConstructor() && self.equals(object)) {
            wiring.trees().body(called).ifPresent(body -> wiring.run(body, self, arguments));
        } else {
            object.ifPresent(
                    made ->
                            made.make(
                                    new TracedObject.Maker(
                                            called.owner(),
                                            Optional.empty(),
                                            called.descriptor(),
                                            arguments)));
        }
    }

    private static boolean isSynthetic(BodyTrees.Body body) {
        return (body.method().access & Opcodes.ACC_SYNTHETIC) != 0;
    }

    private static MethodName withoutLastParameter(MethodName constructor) {
        Type[] types = Type.getArgumentTypes(constructor.descriptor());
        return new MethodName(
                constructor.owner(),
                constructor.name(),
                Type.getMethodDescriptor(Type.VOID_TYPE, Arrays.copyOf(types, types.length - 1)));
    }

    private TracedValue callStatic(MethodName called, List<TracedValue> arguments) {
        boolean handsOut = handsOutObject(called);
        Optional<BodyTrees.Body> body = wiring.trees().body(called);
        boolean isRun =
                wiring.isOurs(called.owner())
                        || body.filter(CallMeaning::isSynthetic).isPresent()
                        || !handsOut && anyObject(arguments);
        if (isRun && body.isPresent()) {
            return wiring.run(body.get(), Optional.empty(), arguments);
        }
        if (!handsOut) {
            return notFollowed(called, arguments);
        }
        TracedObject made =
                wiring.make(
                        Type.getReturnType(called.descriptor()).getClassName(), inside, run.line());
        made.make(
                new TracedObject.Maker(
                        called.owner(),
                        Optional.of(called.name()),
                        called.descriptor(),
                        arguments));
        return made;
    }

    /** Whether a method returns an object that may be a part, rather than a value. */
    private boolean handsOutObject(MethodName called) {
        Type result = Type.getReturnType(called.descriptor());
        String type = result.getClassName();
        return result.getSort() == Type.OBJECT
                && !type.startsWith("java.lang.")
                && wiring.code().find(type).filter(this::isValue).isEmpty();
    }

    private boolean isValue(ClassFacts facts) {
        return (facts.isEnum() || facts.isRecord())
                && wiring.values().isValue(TypeRef.of(facts.name()));
    }

    private static boolean anyObject(List<TracedValue> values) {
        return values.stream()
                .anyMatch(
                        value ->
                                value.object().isPresent()
                                        || value.lambda().isPresent()
                                        || value.collection()
                                                .filter(all -> anyObject(all.values()))
                                                .isPresent());
    }

    private TracedValue callOn(
            MethodName called, boolean isExact, TracedValue receiver, List<TracedValue> arguments) {
        Optional<TracedObject> object = receiver.object();
        if (object.isPresent()) {
            return callOnObject(called, isExact, object.get(), arguments);
        }
        Optional<TracedValue.Lambda> lambda = receiver.lambda();
        if (lambda.isPresent() && wiring.isOurs(inside.owner())) {
            return lambda.get().body().apply(arguments);
        }
        if (wiring.code().inCode(called.owner()) && anyObject(arguments)) {
            wiring.lose("an object is handed to " + text(called), run.line());
        }
        return notFollowed(called, arguments);
    }

    private TracedValue callOnObject(
            MethodName called, boolean isExact, TracedObject object, List<TracedValue> arguments) {
        Optional<TracedObject> behind = wiring.behindFactory(object);
        if (behind.isPresent()) {
            object.help();
            return callOnObject(called, isExact, behind.get(), arguments);
        }
        boolean isOwn = self.filter(object::equals).isPresent();
        boolean isWiring = wiring.isOurs(inside.owner()) && !isOwn;
        if (isWiring) {
            object.call(
                    new TracedObject.Call(
                            called.owner(),
                            called.name(),
                            called.descriptor(),
                            arguments,
                            run.line()));
        }
        boolean isByFactory =
                object.maker().filter(maker -> maker.method().isPresent()).isPresent();
        boolean isWorth =
                isOwn
                        || wiring.isOurs(object.type())
                        || handsOutObject(called)
                        || anyObject(arguments);
        Optional<BodyTrees.Body> body =
                isByFactory || !isWorth
                        ? Optional.empty()
                        : wiring.trees()
                                .inherited(
                                        isExact ? called.owner() : object.type(),
                                        called.name(),
                                        called.descriptor());
        if (body.isEmpty()) {
            return notFollowed(called, arguments);
        }
        if (!isOwn) {
            wiring.constructNow(object);
        }
        int before = wiring.made();
        TracedValue result = wiring.run(body.get(), Optional.of(object), arguments);
        Optional<TracedObject> madeNow = result.object().filter(made -> made.number() >= before);
        if (!isOwn && madeNow.isPresent()) {
            object.help();
        }
        if (wiring.isOurs(inside.owner())) {
            madeNow.ifPresent(wiring::addRoot);
        }
        return result;
    }

    /** A method that is not followed may change the collections that it is given. */
    private TracedValue notFollowed(MethodName called, List<TracedValue> arguments) {
        if (!called.owner().equals(PRINTER)) {
            Unknown change = unknown("what " + text(called) + " makes of a collection");
            arguments.forEach(each -> each.collection().ifPresent(held -> held.addUnknown(change)));
        }
        return unknown("what " + text(called) + " returns");
    }

    private static String text(MethodName called) {
        return shortName(called.owner()) + '.' + called.name();
    }

    /** Returns a lambda, or a text that is put together. */
    TracedValue dynamic(InvokeDynamicInsnNode made, List<TracedValue> held) {
        if (made.bsm.getOwner().equals(LAMBDAS)) {
            return lambda(
                    Type.getReturnType(made.desc).getClassName(), (Handle) made.bsmArgs[1], held);
        }
        return made.bsm.getOwner().equals(TEXTS)
                ? TextMeaning.joined(made, held).orElseGet(() -> unknown("a computed text"))
                : unknown("a computed value");
    }

    private TracedValue lambda(String type, Handle handle, List<TracedValue> held) {
        MethodName called =
                new MethodName(className(handle.getOwner()), handle.getName(), handle.getDesc());
        Function<List<TracedValue>, TracedValue> body =
                given -> {
                    List<TracedValue> all = new ArrayList<>(held);
                    all.addAll(given);
                    return invoke(called, handle.getTag(), all);
                };
        List<Optional<TracedValue>> yielded = new ArrayList<>();
        Supplier<Optional<TracedValue>> yields =
                () -> {
                    if (yielded.isEmpty()) {
                        yielded.add(
                                HANDING_OUT.contains(type)
                                        ? Optional.of(yielded(body))
                                        : Optional.empty());
                    }
                    return yielded.get(0);
                };
        TracedValue.Lambda lambda = new TracedValue.Lambda(type, run.line(), body, yields);
        if (wiring.isOurs(inside.owner())) {
            yields.get();
        }
        return lambda;
    }

    private TracedValue yielded(Function<List<TracedValue>, TracedValue> body) {
        int before = wiring.made();
        TracedValue value = body.apply(List.of());
        value.object()
                .filter(made -> made.number() >= before)
                .ifPresent(TracedObject::makeInLambda);
        return value;
    }

    private TracedValue invoke(MethodName called, int tag, List<TracedValue> values) {
        if (tag == Opcodes.H_NEWINVOKESPECIAL) {
            Optional<TracedCollection> collection = JdkCollections.made(called.owner());
            TracedValue made =
                    collection
                            .<TracedValue>map(each -> each)
                            .orElseGet(() -> wiring.make(called.owner(), inside, run.line()));
            List<TracedValue> all = new ArrayList<>(List.of(made));
            all.addAll(values);
            construct(called, all);
            return made;
        }
        if (tag == Opcodes.H_INVOKESTATIC) {
            return jdk.call(called, true, values).orElseGet(() -> callStatic(called, values));
        }
        return values.isEmpty()
                ? unknown("what " + text(called) + " returns")
                : jdk.call(called, false, values)
                        .orElseGet(
                                () ->
                                        callOn(
                                                called,
                                                false,
                                                values.get(0),
                                                values.subList(1, values.size())));
    }

    private static String className(String internalName) {
        return InstructionMeaning.className(internalName);
    }
}
