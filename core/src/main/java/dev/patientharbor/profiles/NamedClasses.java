package dev.patientharbor.profiles;

import dev.patientharbor.model.Binding;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.WrittenName;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Set;

/** Collects the names of classes and packages that a declaration states, as they are written. */
final class NamedClasses {

    private NamedClasses() {}

    static Collection<String> of(SetDeclaration declared) {
        Set<String> names = new LinkedHashSet<>();
        declared.bindings().forEach(binding -> add(binding, names));
        declared.entry().forEach(entry -> names.add(entry.text()));
        return names;
    }

    private static void add(Binding binding, Set<String> names) {
        if (binding.slot().contract() instanceof TypeRef.ClassType type) {
            names.add(type.name());
        }
        binding.supply().className().map(WrittenName::text).ifPresent(names::add);
    }
}
