package dev.patientharbor.code;

import java.util.Set;

/**
 * What is read of a class file beyond its marked declarations.
 *
 * @param methodsOf the classes of which every method is read, those that a file names as factories
 *     or handlers, by short or full name
 * @param lookups the methods whose calls are looked for in bodies, as {@code CLASS#METHOD} with a
 *     short or full class name; bodies are read only if there are any
 * @param constants the methods without parameters, by name, whose constant answer is read
 * @param contracts whether every method of interfaces and abstract classes is read, for answers
 *     that are given for them
 */
public record Wanted(
        Set<String> methodsOf, Set<String> lookups, Set<String> constants, boolean contracts) {

    /** Nothing more. */
    public static final Wanted NOTHING = new Wanted(Set.of(), Set.of(), Set.of(), false);

    public Wanted {
        methodsOf = Set.copyOf(methodsOf);
        lookups = Set.copyOf(lookups);
        constants = Set.copyOf(constants);
    }

    /** What of this concerns classes that are no user's. */
    Wanted ofJdk() {
        return new Wanted(Set.of(), Set.of(), Set.of(), contracts);
    }

    boolean wantsMethodsOf(String binaryName, boolean isAbstract) {
        return contracts && isAbstract || fitsAny(methodsOf, binaryName);
    }

    boolean wantsBodies() {
        return !lookups.isEmpty();
    }

    boolean isLookup(String binaryName, String method) {
        return fitsAny(lookups, binaryName + '#' + method);
    }

    boolean isConstant(String method, String descriptor) {
        return constants.contains(method) && descriptor.startsWith("()");
    }

    /** A short name fits a class of any package. */
    private static boolean fitsAny(Set<String> names, String binaryName) {
        if (names.isEmpty()) {
            return false;
        }
        String dotted = binaryName.replace('$', '.');
        for (String name : names) {
            String wanted = name.replace('$', '.');
            int before = dotted.length() - wanted.length() - 1;
            if (dotted.endsWith(wanted) && (before < 0 || dotted.charAt(before) == '.')) {
                return true;
            }
        }
        return false;
    }
}
