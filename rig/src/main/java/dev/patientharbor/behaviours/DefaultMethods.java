package dev.patientharbor.behaviours;

import java.lang.invoke.MethodHandles;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;

/** Runs the default methods of contracts on what stands in for them. */
final class DefaultMethods {

    private DefaultMethods() {}

    static Object run(Object self, Method method, Object[] arguments) throws Throwable {
        Class<?> contract = method.getDeclaringClass();
        return Modifier.isPublic(contract.getModifiers())
                ? InvocationHandler.invokeDefault(self, method, arguments)
                : MethodHandles.privateLookupIn(contract, MethodHandles.lookup())
                        .unreflectSpecial(method, contract)
                        .bindTo(self)
                        .invokeWithArguments(arguments);
    }
}
