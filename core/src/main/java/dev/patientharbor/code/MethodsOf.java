package dev.patientharbor.code;

import java.util.Set;

/**
 * The classes of which every method is read, rather than the marked ones alone: those that a file
 * names as factories.
 *
 * @param names class names as users write them, short or full
 */
public record MethodsOf(Set<String> names) {

    /** No class. */
    public static final MethodsOf NONE = new MethodsOf(Set.of());

    public MethodsOf {
        names = Set.copyOf(names);
    }

    boolean contains(String binaryName) {
        if (names.isEmpty()) {
            return false;
        }
        String dotted = binaryName.replace('$', '.');
        for (String name : names) {
            String wanted = name.replace('$', '.');
            boolean fits =
                    dotted.endsWith(wanted)
                            && (dotted.length() == wanted.length()
                                    || dotted.charAt(dotted.length() - wanted.length() - 1) == '.');
            if (fits) {
                return true;
            }
        }
        return false;
    }
}
