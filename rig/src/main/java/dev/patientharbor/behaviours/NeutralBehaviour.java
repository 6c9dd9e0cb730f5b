package dev.patientharbor.behaviours;

import dev.patientharbor.standins.NeutralAnswers;
import java.lang.reflect.Method;

/** Runs what the contract does itself, and is neutral in all else. */
final class NeutralBehaviour implements Behaviour {

    @Override
    public Object answer(Object self, Method method, Object[] arguments) throws Throwable {
        return method.isDefault()
                ? DefaultMethods.run(self, method, arguments)
                : NeutralAnswers.of(method.getReturnType());
    }
}
