package dev.patientharbor.survey;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Comparator;
import java.util.Optional;

/**
 * A place where a consumer makes or fetches an object of a contract by itself and uses it, so that
 * no profile can put another in its place. Immutable.
 *
 * @param consumer the binary name of the class that uses the object
 * @param at where
 * @param by how it gets hold of the object
 * @param source what stands there, in source form: {@code new SmtpMailer}, {@code Mailers.house()}
 * @param contract the binary name of the contract
 * @param implementation the binary name of the class of the object; empty if it cannot be told
 */
public record HardWiring(
        String consumer,
        CodeLocation at,
        ObtainedBy by,
        String source,
        String contract,
        Optional<String> implementation) {

    public HardWiring {
        RequiredArgument.of(consumer, "consumer");
        RequiredArgument.of(at, "at");
        RequiredArgument.of(by, "by");
        RequiredArgument.of(source, "source");
        RequiredArgument.of(contract, "contract");
        RequiredArgument.of(implementation, "implementation");
    }

    /** Sorts by place, then by contract. */
    public static final Comparator<HardWiring> ORDER =
            Comparator.comparing(HardWiring::at, CodeLocation.ORDER)
                    .thenComparing(HardWiring::source)
                    .thenComparing(HardWiring::contract);
}
