package dev.patientharbor.behaviours;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Method;

/** Answers calls by some behaviour, and keeps no record of them. */
final class UnrecordedBehaviour implements InvocationHandler {

    private static final Object[] NOTHING = {};

    private final String words;
    private final Behaviour behaviour;

    UnrecordedBehaviour(String words, Behaviour behaviour) {
        this.words = words;
        this.behaviour = behaviour;
    }

    @Override
    public Object invoke(Object self, Method method, Object[] passed) throws Throwable {
        Object[] arguments = passed == null ? NOTHING : passed;
        return method.getDeclaringClass() == Object.class
                ? ofObject(self, method, arguments, words)
                : behaviour.answer(self, method, arguments);
    }

    /** What every object has is no call of the contract. */
    static Object ofObject(Object self, Method method, Object[] arguments, String words) {
        return switch (method.getName()) {
            case "equals" -> self == arguments[0];
            case "hashCode" -> System.identityHashCode(self);
            default -> words;
        };
    }
}
