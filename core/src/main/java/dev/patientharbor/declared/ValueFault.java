package dev.patientharbor.declared;

import dev.patientharbor.model.GivenValue;
import dev.patientharbor.needs.Need;
import dev.patientharbor.values.ConversionCheck;
import java.util.List;
import java.util.Optional;

/**
 * Something wrong with a given value.
 *
 * @param need the parameter that it is for; empty for a bound value and an unknown parameter
 * @param unknown the name of a parameter that does not exist; empty if it exists
 * @param parameters the names of the parameters that exist, for an unknown one
 * @param problem what is wrong
 */
public record ValueFault(
        Optional<Need> need,
        String unknown,
        List<String> parameters,
        ConversionCheck.Problem problem) {

    static ValueFault of(Need need, ConversionCheck.Problem problem) {
        return new ValueFault(Optional.of(need), "", List.of(), problem);
    }

    static ValueFault unknown(String name, GivenValue given, List<String> parameters) {
        return new ValueFault(
                Optional.empty(),
                name,
                parameters,
                new ConversionCheck.Problem(
                        given.at(), List.of(), given.canonicalText(), "a parameter"));
    }
}
