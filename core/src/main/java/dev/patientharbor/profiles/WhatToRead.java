package dev.patientharbor.profiles;

import dev.patientharbor.code.Wanted;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Declaration;
import dev.patientharbor.model.ImplementationKind;
import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.model.Written;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What must be read of the code for a declaration beyond marked declarations. */
final class WhatToRead {

    private WhatToRead() {}

    static Wanted of(Declaration declared) {
        Set<String> methodsOf = new HashSet<>();
        Set<String> constants = new HashSet<>();
        Set<String> calls = new HashSet<>();
        Set<String> standIns = new HashSet<>();
        Set<String> aliases = new HashSet<>();
        boolean contracts = false;
        for (Binding binding : (Iterable<Binding>) declared.bindings()::iterator) {
            Supply supply = binding.supply();
            switch (supply.form()) {
                case FACTORY -> methodsOf.add(((Supply.Factory) supply).holder().text());
                case STATED_KEYS -> constants.add(((Supply.ByStatedKey) supply).method());
                case ANSWERS -> {
                    contracts = true;
                    methodsOf.add(contractOf(binding));
                    calls.add(contractOf(binding));
                }
                case CLASS -> {
                    if (((Supply.OfClass) supply).of() != ImplementationKind.REAL) {
                        calls.add(contractOf(binding));
                        standIns.add(((Supply.OfClass) supply).name().text());
                    }
                }
                case SAME_AS -> aliases.add(contractOf(binding));
                case MOCK, VALUE, OBJECT, CALL, MEMBERS -> {}
                case NONE, INHERITED, REMOVED, TO_FILL -> {}
            }
        }
        for (StatedConsumer consumer : declared.consumers()) {
            consumer.match(
                            thing -> Optional.<Written>empty(),
                            handler -> Optional.of(handler.holder()),
                            statics -> Optional.<Written>empty())
                    .ifPresent(holder -> methodsOf.add(holder.text()));
        }
        Set<String> lookups =
                declared.marks().lookup().stream().map(Written::text).collect(Collectors.toSet());
        if (!calls.isEmpty()) {
            calls.addAll(aliases);
        }
        return new Wanted(methodsOf, lookups, constants, contracts, calls, standIns);
    }

    private static String contractOf(Binding binding) {
        return binding.slot().contract() instanceof TypeRef.ClassType type
                ? type.name()
                : binding.slot().contract().text();
    }
}
