package dev.patientharbor.resolve;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.CodePlaces;
import dev.patientharbor.model.Declaration;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.Written;
import dev.patientharbor.names.ClassNames;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The profiles that see the same code. Each side is resolved by itself, against the classes that it
 * has.
 *
 * @param code what its profiles see
 * @param profiles the numbers of the profiles that are checked on it
 * @param elsewhere what other sides see, by the profiles of the side
 */
public record Side(CodeIndex code, BitSet profiles, Map<String, ClassNames> elsewhere) {

    /** One side for all profiles. */
    public static Side ofAll(Declaration set, CodeIndex code) {
        BitSet all = new BitSet();
        all.set(0, set.profiles().size());
        return new Side(code, all, Map.of());
    }

    /** The sides of a set, in the order in which its profiles name them. */
    public static List<Side> of(Declaration set, CodePlaces places) {
        Hierarchy hierarchy = new Hierarchy(set.profiles());
        Map<List<Written>, BitSet> bySeen = new LinkedHashMap<>();
        for (int number = 0; number < set.profiles().size(); number++) {
            if (!set.profiles().get(number).partial()) {
                bySeen.computeIfAbsent(seen(set, hierarchy, number), one -> new BitSet())
                        .set(number);
            }
        }
        if (bySeen.isEmpty()) {
            bySeen.put(set.code(), new BitSet());
        }
        List<CodeIndex> codes = bySeen.keySet().stream().map(places::only).toList();
        List<BitSet> profiles = List.copyOf(bySeen.values());
        List<Side> sides = new ArrayList<>();
        for (int i = 0; i < codes.size(); i++) {
            Map<String, ClassNames> elsewhere = new LinkedHashMap<>();
            for (int other = 0; other < codes.size(); other++) {
                if (other != i) {
                    elsewhere.put(
                            names(set, profiles.get(other)), new ClassNames(codes.get(other), set));
                }
            }
            sides.add(new Side(codes.get(i), profiles.get(i), elsewhere));
        }
        return sides;
    }

    /** The places of code that a profile sees. */
    public static List<Written> seenBy(Declaration set, String profile) {
        List<String> names = set.profiles().stream().map(Profile::name).toList();
        return seen(set, new Hierarchy(set.profiles()), names.indexOf(profile));
    }

    /** The set's code, and what the profile adds, or else what it inherits. */
    private static List<Written> seen(Declaration set, Hierarchy hierarchy, int number) {
        List<Written> all = new ArrayList<>(set.code());
        add(set, hierarchy, number, all);
        return all;
    }

    private static void add(Declaration set, Hierarchy hierarchy, int number, List<Written> all) {
        Profile profile = set.profiles().get(number);
        if (profile.terms().code().isPresent()) {
            profile.terms().code().get().stream()
                    .filter(one -> !all.contains(one))
                    .forEach(all::add);
        } else {
            hierarchy.parents(number).forEach(parent -> add(set, hierarchy, parent, all));
        }
    }

    private static String names(Declaration set, BitSet profiles) {
        return String.join(
                ", ", profiles.stream().mapToObj(one -> set.profiles().get(one).name()).toList());
    }

    /** The profiles that see a class of that name, where those of this side do not. */
    public List<String> whoSees(Written name) {
        return elsewhere.entrySet().stream()
                .filter(one -> !one.getValue().lookup(name).found().isEmpty())
                .map(Map.Entry::getKey)
                .toList();
    }
}
