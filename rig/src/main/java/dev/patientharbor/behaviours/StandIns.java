package dev.patientharbor.behaviours;

import dev.patientharbor.live.ValueConverter;
import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.model.CannedMethod;
import dev.patientharbor.standins.NoMockMakerException;
import dev.patientharbor.standins.StandInMaker;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.texts.JavaName;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Proxy;
import java.util.List;
import java.util.function.Supplier;

/**
 * Makes what stands in for a contract, or around it, for one rig. Built in are interfaces alone;
 * makers that were found may make mocks of classes too.
 */
public final class StandIns {

    private final CallRecord record;
    private final Supplier<ValueConverter> values;
    private final Supplier<List<StandInMaker>> makers;

    /**
     * @param record where calls are kept
     * @param values what converts canned answers, asked for when it is needed
     * @param makers those who make mocks, asked for when it is needed; the first that can makes one
     */
    public StandIns(
            CallRecord record,
            Supplier<ValueConverter> values,
            Supplier<List<StandInMaker>> makers) {
        this.record = record;
        this.values = values;
        this.makers = makers;
    }

    /**
     * A mock.
     *
     * @param slot the slot that it fills, as text
     * @throws IllegalArgumentException if nobody can make one of that contract
     */
    public Object mock(Class<?> contract, String slot) {
        for (StandInMaker maker : makers.get()) {
            if (maker.canMake(contract)) {
                return maker.make(contract, slot, record);
            }
        }
        if (!contract.isInterface()) {
            throw new NoMockMakerException(contract);
        }
        return proxy(
                contract,
                "a mock",
                new RecordingBehaviour(
                        record, slot, "mock", "mock of " + slot, new NeutralBehaviour()));
    }

    /**
     * A stub that gives canned answers.
     *
     * @param type the contract with its arguments
     * @param where where the answers stand
     * @throws IllegalArgumentException if the contract is no interface, or an answer does not fit
     */
    public Object answering(
            Class<?> contract,
            TypeRef type,
            String slot,
            String where,
            List<CannedMethod> answers) {
        AnsweringBehaviour answering =
                new AnsweringBehaviour(contract, values.get(), type, slot, where, answers);
        return proxy(
                contract,
                "a stub with canned answers",
                new RecordingBehaviour(record, slot, "stub", "stub of " + slot, answering));
    }

    /**
     * A spy around an object.
     *
     * @param target what people call the object
     */
    private Object spy(Class<?> contract, String slot, String target, Object inner) {
        return proxy(
                contract,
                "a spy",
                new RecordingBehaviour(
                        record, slot, target, "spy on " + target, new PassingBehaviour(inner)));
    }

    /**
     * A built-in decorator around an object.
     *
     * @param target what people call the object
     */
    public Object around(
            BuiltIn builtIn, Class<?> contract, String slot, String target, Object inner) {
        Behaviour on = new PassingBehaviour(inner);
        String words = BuiltIn.shortWords(builtIn.words()) + " around " + target;
        return builtIn.match(
                delay -> decorator(contract, words, new DelayingBehaviour(delay.time(), on)),
                fail -> decorator(contract, words, new FailingBehaviour(fail, values.get(), on)),
                spy -> spy(contract, slot, target, inner));
    }

    private static Object decorator(Class<?> contract, String words, Behaviour behaviour) {
        return proxy(contract, "a decorator", new UnrecordedBehaviour(words, behaviour));
    }

    static Object proxy(Class<?> contract, String what, InvocationHandler handler) {
        if (!contract.isInterface() || contract.isSealed()) {
            throw new IllegalArgumentException(
                    what
                            + " can be made of an interface, and "
                            + JavaName.of(contract)
                            + (contract.isInterface() ? " is sealed" : " is a class"));
        }
        return Proxy.newProxyInstance(
                contract.getClassLoader() == null
                        ? StandIns.class.getClassLoader()
                        : contract.getClassLoader(),
                new Class<?>[] {contract},
                handler);
    }
}
