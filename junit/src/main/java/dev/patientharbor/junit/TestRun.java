package dev.patientharbor.junit;

import dev.patientharbor.plan.Answer;
import java.util.Optional;

/**
 * What one run of a test is under.
 *
 * @param profile the profile
 * @param implementation the implementation that it is about, if it is about one
 */
record TestRun(String profile, Optional<Implementation> implementation) {

    /**
     * An implementation of a contract.
     *
     * @param contract the contract
     * @param name its class, by binary name, or what makes it
     * @param seat where it stands in the profile
     */
    record Implementation(Class<?> contract, String name, Answer.Seat seat) {}

    static TestRun under(String profile) {
        return new TestRun(profile, Optional.empty());
    }
}
