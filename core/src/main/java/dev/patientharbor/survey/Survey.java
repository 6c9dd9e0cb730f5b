package dev.patientharbor.survey;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Collections;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;

/**
 * What compiled code tells of itself before there is a profile: contracts and who asks for them,
 * what is hard-wired, what reaches outside. All lists are sorted, all names are binary names.
 * Immutable.
 *
 * @param classes how many classes there are
 * @param contracts the contracts, by name
 * @param interfaces what could stand where consumers ask for a class of the code
 * @param entryConsumers the classes that ask for contracts, and that no class asks for
 * @param hardWired where consumers make or fetch implementations by themselves
 * @param handWiring where objects are made and handed to others
 * @param sharedState the static fields that hold a contract, or that change
 * @param touches what classes that stand behind contracts, or ask for some, reach outside
 * @param findings what could not be read
 */
public record Survey(
        int classes,
        List<SurveyedContract> contracts,
        List<ExtractableInterface> interfaces,
        List<String> entryConsumers,
        List<HardWiring> hardWired,
        List<HandWiring> handWiring,
        List<SharedState> sharedState,
        SortedMap<String, List<Touch>> touches,
        List<Finding> findings) {

    public Survey {
        RequiredArgument.of(contracts, "contracts");
        RequiredArgument.of(interfaces, "interfaces");
        RequiredArgument.of(entryConsumers, "entryConsumers");
        RequiredArgument.of(hardWired, "hardWired");
        RequiredArgument.of(handWiring, "handWiring");
        RequiredArgument.of(sharedState, "sharedState");
        RequiredArgument.of(touches, "touches");
        RequiredArgument.of(findings, "findings");
        contracts = List.copyOf(contracts);
        interfaces = List.copyOf(interfaces);
        entryConsumers = List.copyOf(entryConsumers);
        hardWired = List.copyOf(hardWired);
        handWiring = List.copyOf(handWiring);
        sharedState = List.copyOf(sharedState);
        touches = Collections.unmodifiableSortedMap(new TreeMap<>(touches));
        findings = List.copyOf(findings);
    }

    /**
     * Returns what concerns some classes alone: contracts, consumers and places of which the class
     * is one of them.
     *
     * @param wanted takes binary names
     */
    public Survey only(Predicate<String> wanted) {
        RequiredArgument.of(wanted, "wanted");
        SortedMap<String, List<Touch>> some = new TreeMap<>(touches);
        some.keySet().removeIf(wanted.negate());
        return new Survey(
                classes,
                contracts.stream().filter(contract -> wanted.test(contract.name())).toList(),
                interfaces.stream().filter(one -> wanted.test(one.className())).toList(),
                entryConsumers.stream().filter(wanted).toList(),
                hardWired.stream().filter(wiring -> wanted.test(wiring.consumer())).toList(),
                handWiring.stream().filter(wiring -> wanted.test(wiring.at().className())).toList(),
                sharedState.stream().filter(state -> wanted.test(state.className())).toList(),
                some,
                findings);
    }

    /** Returns what a class reaches outside; empty if nothing that is known. */
    public List<Touch> touchesOf(String className) {
        return touches.getOrDefault(RequiredArgument.of(className, "className"), List.of());
    }
}
