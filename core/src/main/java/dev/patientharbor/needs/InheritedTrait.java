package dev.patientharbor.needs;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;

/**
 * Whether a class or one of its superclasses but {@code Object} has a trait: each class is asked
 * once, however many extend it.
 */
public final class InheritedTrait {

    private static final String OBJECT = "java.lang.Object";

    private final CodeIndex code;
    private final Predicate<ClassFacts> trait;
    private final Map<String, Boolean> known = new ConcurrentHashMap<>();

    public InheritedTrait(CodeIndex code, Predicate<ClassFacts> trait) {
        this.code = code;
        this.trait = trait;
    }

    public boolean has(ClassFacts facts) {
        if (facts.superName().filter(name -> !name.equals(OBJECT)).isEmpty()) {
            return trait.test(facts);
        }
        Boolean told = known.get(facts.name());
        return told != null ? told : find(facts);
    }

    private boolean find(ClassFacts facts) {
        Set<String> passed = new LinkedHashSet<>();
        boolean has = false;
        Optional<ClassFacts> at = Optional.of(facts);
        // What is compiled wrong may extend itself.
        while (!has && at.isPresent() && passed.add(at.get().name())) {
            Boolean told = known.get(at.get().name());
            if (told != null) {
                has = told;
                break;
            }
            has = trait.test(at.get());
            at = at.get().superName().filter(name -> !name.equals(OBJECT)).flatMap(code::find);
        }
        for (String name : passed) {
            known.put(name, has);
        }
        return has;
    }
}
