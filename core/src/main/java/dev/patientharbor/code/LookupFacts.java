package dev.patientharbor.code;

import java.util.Optional;

/**
 * A call of a house's lookup method in a body, with constant arguments.
 *
 * @param method the method in whose body it stands; a lambda counts as part of the method around it
 * @param contract the binary name of the class that is asked for
 * @param key the key that is asked for
 * @param called the lookup method, {@code p.Locator#find}
 */
public record LookupFacts(
        String method, String contract, Optional<ConstantFacts> key, String called) {}
