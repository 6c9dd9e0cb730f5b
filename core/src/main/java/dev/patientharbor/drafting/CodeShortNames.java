package dev.patientharbor.drafting;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.types.Carrier;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** The short names of classes in a drafted file, and the packages in which they are looked up. */
final class CodeShortNames {

    private final Set<String> packages = new TreeSet<>();
    private final Map<String, Integer> counts = new HashMap<>();

    /**
     * @param named the classes that the file names, by binary name
     */
    CodeShortNames(CodeIndex code, Collection<String> named) {
        named.stream()
                .filter(code::inCode)
                .map(ClassFacts::packageOf)
                .filter(name -> !name.isEmpty())
                .forEach(packages::add);
        for (String name : code.names()) {
            if (packages.contains(ClassFacts.packageOf(name))) {
                counts.merge(last(name), 1, Integer::sum);
            }
        }
    }

    List<String> packages() {
        return List.copyOf(packages);
    }

    /** Returns the last part of a name, if it is looked up and no other class has it. */
    String of(String name) {
        boolean isLookedUp =
                packages.contains(ClassFacts.packageOf(name))
                        || ClassFacts.packageOf(name).equals("java.lang")
                        || Carrier.named(last(name)).equals(Optional.of(name));
        int own = packages.contains(ClassFacts.packageOf(name)) ? 1 : 0;
        return isLookedUp && name.indexOf('$') < 0 && counts.getOrDefault(last(name), 0) == own
                ? last(name)
                : name;
    }

    /** Returns what makes an object, {@code Class#method} too, with a short name of the class. */
    String ofMaker(String maker) {
        String owner = owner(maker);
        return of(owner) + maker.substring(owner.length());
    }

    /** Returns the class of what makes an object. */
    static String owner(String maker) {
        int method = maker.indexOf('#');
        return method < 0 ? maker : maker.substring(0, method);
    }

    /** Returns a word for what makes an object, that may be a key. */
    static String word(String maker) {
        String name = last(owner(maker));
        return name.substring(name.lastIndexOf('$') + 1);
    }

    private static String last(String name) {
        return name.substring(name.lastIndexOf('.') + 1);
    }
}
