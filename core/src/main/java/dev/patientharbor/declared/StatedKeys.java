package dev.patientharbor.declared;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.SupplyForm;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Turns "these classes, each under the key that it states" into one binding for each class. A class
 * states its key by a method that returns a constant, its own or that of a superclass.
 */
public final class StatedKeys {

    private final CodeIndex code;
    private final ClassNames names;
    private final List<UnstatedKey> unstated = new ArrayList<>();

    /**
     * A class that states no key.
     *
     * @param owner the number of the profile that says that it does
     * @param slot the slot as it is written
     * @param name the class
     * @param method the method that should return a constant
     */
    public record UnstatedKey(int owner, Slot slot, WrittenName name, String method) {}

    public StatedKeys(CodeIndex code, ClassNames names) {
        this.code = code;
        this.names = names;
    }

    /** The classes that state no key, of all bindings so far. */
    public List<UnstatedKey> unstated() {
        return unstated;
    }

    List<Binding> expand(Binding binding, int owner) {
        if (binding.supply().form() != SupplyForm.STATED_KEYS) {
            return List.of(binding);
        }
        Supply.ByStatedKey stated = (Supply.ByStatedKey) binding.supply();
        List<Binding> all = new ArrayList<>();
        for (WrittenName name : stated.names()) {
            Optional<ClassFacts> facts = names.lookup(name).facts();
            Optional<String> key = facts.flatMap(found -> constant(found, stated.method()));
            if (facts.isPresent() && key.isEmpty()) {
                unstated.add(new UnstatedKey(owner, binding.slot(), name, stated.method()));
            } else {
                all.add(one(binding, stated, name, key));
            }
        }
        return all;
    }

    private static Binding one(
            Binding binding, Supply.ByStatedKey stated, WrittenName name, Optional<String> key) {
        // An unknown class is reported as such; what key it would have is not known.
        Key under = Key.named(key.orElse(name.text()));
        return new Binding(
                new Slot(binding.slot().contract(), Optional.of(under)),
                new Supply.OfClass(stated.of(), name),
                binding.with(),
                binding.lifetime(),
                false,
                Optional.empty(),
                binding.grounds(),
                name.at());
    }

    private Optional<String> constant(ClassFacts facts, String method) {
        Set<String> seen = new HashSet<>();
        Optional<ClassFacts> at = Optional.of(facts);
        while (at.isPresent() && seen.add(at.get().name())) {
            if (at.get().bodies().constants().containsKey(method)) {
                return at.get().bodies().constants().get(method).key(code);
            }
            if (declares(at.get(), method)) {
                return Optional.empty();
            }
            at = at.get().superName().filter(code::inCode).flatMap(code::find);
        }
        return Optional.empty();
    }

    /** Whether a class has such a method, which then returns no constant. */
    private static boolean declares(ClassFacts facts, String method) {
        String key = method + "()";
        return facts.unmarkedMethods().contains(key)
                || facts.methods().stream()
                        .anyMatch(executable -> executable.overrideKey().equals(key));
    }
}
