package dev.patientharbor.standins;

import java.util.List;
import java.util.Optional;

/**
 * Makes mocks in place of the built-in maker, which makes them of interfaces alone. Found by {@link
 * java.util.ServiceLoader}; must have a constructor without parameters and may be used by several
 * threads.
 */
public interface StandInMaker {

    /** Whether it can make a mock of a contract: an interface or a class. */
    boolean canMake(Class<?> contract);

    /**
     * Makes a mock that answers neutrally: see {@link NeutralAnswers}.
     *
     * @param contract what it stands in for
     * @param slot the slot that it fills, as text
     * @param seen must be told of each call of it
     */
    Object make(Class<?> contract, String slot, CallLog seen);

    /**
     * The calls that an object saw which somebody else made in the same way, without what they were
     * answered; empty if it is none of those.
     *
     * @param slot the slot that it fills, as text
     */
    default Optional<List<Call>> calls(Object mock, String slot) {
        return Optional.empty();
    }
}
