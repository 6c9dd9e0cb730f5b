package dev.patientharbor.standins;

import dev.patientharbor.live.VisibleValues;
import dev.patientharbor.texts.RequiredArgument;
import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * One call of a contract, as a mock, a stub with canned answers or a spy saw it. Immutable, but for
 * what the arguments and the answer are themselves.
 *
 * @param slot the slot whose object was called, as text
 * @param target what was called: the class behind a spy, or {@code mock}
 * @param method the method of the contract
 * @param arguments what was passed; may hold {@code null}
 * @param answer what was returned; empty for nothing, for {@code null} and for a failure
 * @param failure what was thrown
 * @param caller the class that called, by its binary name; empty if it is not known
 */
public record Call(
        String slot,
        String target,
        Method method,
        List<Object> arguments,
        Optional<Object> answer,
        Optional<Throwable> failure,
        Optional<String> caller) {
    public Call {
        RequiredArgument.of(slot, "slot");
        RequiredArgument.of(target, "target");
        RequiredArgument.of(method, "method");
        RequiredArgument.of(arguments, "arguments");
        RequiredArgument.of(answer, "answer");
        RequiredArgument.of(failure, "failure");
        RequiredArgument.of(caller, "caller");
        arguments = Collections.unmodifiableList(Arrays.asList(arguments.toArray()));
    }

    /** The name of the method. */
    public String name() {
        return method.getName();
    }

    /** A value as people read it. */
    public static String valueText(Object value) {
        return VisibleValues.value(value);
    }

    /** The call as people read it: {@code announce("berth 3 is taken")}. */
    @Override
    public String toString() {
        return VisibleValues.call(method.getName(), arguments);
    }
}
