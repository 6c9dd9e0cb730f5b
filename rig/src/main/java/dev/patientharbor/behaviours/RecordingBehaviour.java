package dev.patientharbor.behaviours;

import dev.patientharbor.standins.Call;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.Optional;

/** Keeps a record of the calls that some behaviour answers. */
final class RecordingBehaviour implements InvocationHandler {

    private static final Object[] NOTHING = {};
    private static final String OURS = RecordingBehaviour.class.getPackageName() + '.';

    private final CallRecord record;
    private final String slot;
    private final String target;
    private final String words;
    private final Behaviour behaviour;

    RecordingBehaviour(
            CallRecord record, String slot, String target, String words, Behaviour behaviour) {
        this.record = record;
        this.slot = slot;
        this.target = target;
        this.words = words;
        this.behaviour = behaviour;
    }

    @Override
    public Object invoke(Object self, Method method, Object[] passed) throws Throwable {
        Object[] arguments = passed == null ? NOTHING : passed;
        if (method.getDeclaringClass() == Object.class) {
            return UnrecordedBehaviour.ofObject(self, method, arguments, words);
        }
        Optional<String> caller = caller();
        CallRecord.EnteredCall entered =
                record.enter(call(method, arguments, Optional.empty(), Optional.empty(), caller));
        try {
            Object answer = behaviour.answer(self, method, arguments);
            record.leave(
                    entered,
                    call(method, arguments, Optional.ofNullable(answer), Optional.empty(), caller));
            return answer;
        } catch (Throwable failure) {
            record.leave(
                    entered,
                    call(method, arguments, Optional.empty(), Optional.of(failure), caller));
            throw failure;
        }
    }

    private Call call(
            Method method,
            Object[] arguments,
            Optional<Object> answer,
            Optional<Throwable> failure,
            Optional<String> caller) {
        return new Call(slot, target, method, Arrays.asList(arguments), answer, failure, caller);
    }

    /**
     * The nearest class on the way here that is neither ours nor of the JDK, which only passes
     * calls on, nor made at run time.
     */
    private static Optional<String> caller() {
        return StackWalker.getInstance()
                .walk(
                        frames ->
                                frames.map(StackWalker.StackFrame::getClassName)
                                        .filter(RecordingBehaviour::isOfUser)
                                        .findFirst());
    }

    private static boolean isOfUser(String className) {
        return !className.startsWith(OURS)
                && !className.startsWith("java.")
                && !className.startsWith("javax.")
                && !className.startsWith("jdk.")
                && !className.startsWith("sun.")
                && !className.contains("$Proxy");
    }
}
