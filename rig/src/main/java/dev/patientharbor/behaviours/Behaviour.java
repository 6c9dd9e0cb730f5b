package dev.patientharbor.behaviours;

import java.lang.reflect.Method;

/** What happens when a method of a contract is called on what stands in for it. */
interface Behaviour {

    /**
     * Answers a call.
     *
     * @param self the object that was called
     * @param arguments what was passed; none for no parameters
     */
    Object answer(Object self, Method method, Object[] arguments) throws Throwable;
}
