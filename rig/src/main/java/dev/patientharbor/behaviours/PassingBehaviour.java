package dev.patientharbor.behaviours;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;

/** Calls the object behind. */
final class PassingBehaviour implements Behaviour {

    private final Object inner;

    PassingBehaviour(Object inner) {
        this.inner = inner;
    }

    @Override
    public Object answer(Object self, Method method, Object[] arguments) throws Throwable {
        try {
            method.setAccessible(true);
            return method.invoke(inner, arguments);
        } catch (InvocationTargetException thrown) {
            throw thrown.getCause();
        }
    }
}
