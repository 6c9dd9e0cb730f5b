package dev.patientharbor.code;

import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What the bodies of one class say, where that was wanted.
 *
 * @param lookups its lookups
 * @param constants the constants that its methods return, by the name of the method
 * @param calls the methods of wanted contracts that it calls
 * @param throwing name and erased types of its methods that never return: they throw
 * @param obtained the types that its bodies may make or fetch, by binary name
 * @param mentioned the classes that it mentions in whatever way
 * @param nested the binary names of the classes within it, those without a name included
 */
public record BodyFacts(
        List<LookupFacts> lookups,
        Map<String, ConstantFacts> constants,
        List<MethodFacts> calls,
        Set<String> throwing,
        Set<String> obtained,
        ClassMentions mentioned,
        List<String> nested) {

    /** The facts of a body of which nothing was wanted, or in which nothing was found. */
    public static final BodyFacts NONE =
            new BodyFacts(
                    List.of(),
                    Map.of(),
                    List.of(),
                    Set.of(),
                    Set.of(),
                    ClassMentions.NONE,
                    List.of());

    public BodyFacts {
        lookups = List.copyOf(lookups);
        constants = Map.copyOf(constants);
        calls = List.copyOf(calls);
        throwing = Set.copyOf(throwing);
        obtained = Set.copyOf(obtained);
        nested = List.copyOf(nested);
    }
}
