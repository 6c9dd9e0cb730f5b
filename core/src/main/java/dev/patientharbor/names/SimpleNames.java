package dev.patientharbor.names;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/** The classes of the code by their simple names. Most have one of their own. */
final class SimpleNames {

    private static final Pattern BEFORE_NAME = Pattern.compile("\\$(?!\\d)");

    private final Map<String, String> first;
    private final Map<String, List<String>> several = new HashMap<>();

    private SimpleNames(Collection<String> binaryNames) {
        first = new HashMap<>(2 * binaryNames.size());
        for (String name : binaryNames) {
            String simple = of(name);
            String before = first.putIfAbsent(simple, name);
            if (before != null) {
                List<String> same = several.get(simple);
                if (same == null) {
                    same = new ArrayList<>(List.of(before));
                    several.put(simple, same);
                }
                same.add(name);
            }
        }
        several.values().forEach(same -> same.sort(Comparator.naturalOrder()));
    }

    static SimpleNames of(Collection<String> binaryNames) {
        return new SimpleNames(binaryNames);
    }

    /** The simple name of a class; what has no name, or is named in a method, as its class file. */
    static String of(String binaryName) {
        String name = binaryName.substring(binaryName.lastIndexOf('.') + 1);
        return name.indexOf('$') < 0 ? name : BEFORE_NAME.matcher(name).replaceAll(".");
    }

    /** Whether another class has a simple name, alone or too. */
    boolean isOfOthers(String simple, String binaryName) {
        String one = first.get(simple);
        return one != null && (!one.equals(binaryName) || several.containsKey(simple));
    }

    /** The classes of a simple name, sorted. */
    List<String> classes(String simple) {
        List<String> same = several.get(simple);
        return same != null
                ? same
                : first.containsKey(simple) ? List.of(first.get(simple)) : List.of();
    }

    Set<String> all() {
        return first.keySet();
    }
}
