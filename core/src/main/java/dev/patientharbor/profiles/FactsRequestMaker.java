package dev.patientharbor.profiles;

import dev.patientharbor.code.FactsRequest;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.model.Supply;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.WrittenName;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Works out what must be read of the code for a declaration, beyond marked members. */
final class FactsRequestMaker {

    private final Set<String> methodsOf = new HashSet<>();
    private final Set<String> constants = new HashSet<>();
    private final Set<String> calls = new HashSet<>();
    private final Set<String> standIns = new HashSet<>();
    private final Set<String> aliases = new HashSet<>();
    private boolean contracts;

    private FactsRequestMaker() {}

    static FactsRequest of(SetDeclaration declared) {
        FactsRequestMaker all = new FactsRequestMaker();
        declared.bindings().forEach(binding -> all.take(binding).run());
        for (StatedConsumer consumer : declared.consumers()) {
            consumer.match(
                            thing -> Optional.<WrittenName>empty(),
                            handler -> Optional.of(handler.holder()),
                            statics -> Optional.<WrittenName>empty())
                    .ifPresent(holder -> all.methodsOf.add(holder.text()));
        }
        Set<String> lookups =
                declared.marks().lookup().stream()
                        .map(WrittenName::text)
                        .collect(Collectors.toSet());
        if (!all.calls.isEmpty()) {
            all.calls.addAll(all.aliases);
        }
        return new FactsRequest(
                all.methodsOf, lookups, all.constants, all.contracts, all.calls, all.standIns);
    }

    /** How what a binding needs to know is taken down. */
    private Runnable take(Binding binding) {
        Supply supply = binding.supply();
        return switch (supply.form()) {
            case FACTORY -> () -> methodsOf.add(((Supply.Factory) supply).holder().text());
            case STATED_KEYS -> () -> constants.add(((Supply.ByStatedKey) supply).method());
            case ANSWERS -> () -> ofContract(contractOf(binding));
            case CLASS -> () -> ofClass((Supply.OfClass) supply, contractOf(binding));
            case SAME_AS -> () -> aliases.add(contractOf(binding));
            case MOCK, VALUE, OBJECT, CALL, MEMBERS -> () -> {};
            case NONE, INHERITED, REMOVED, TO_FILL -> () -> {};
        };
    }

    private void ofContract(String contract) {
        contracts = true;
        methodsOf.add(contract);
        calls.add(contract);
    }

    private void ofClass(Supply.OfClass supply, String contract) {
        if (supply.of().isStandIn()) {
            calls.add(contract);
            standIns.add(supply.name().text());
        }
    }

    private static String contractOf(Binding binding) {
        return binding.slot().contract() instanceof TypeRef.ClassType type
                ? type.name()
                : binding.slot().contract().text();
    }
}
