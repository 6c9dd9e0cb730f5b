package dev.patientharbor.inherited;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodePlaces;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.NameSearch;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;

/**
 * Knows what the sides of a set have in common: who extends whom, who sees what, which are checked.
 */
final class SideOverview {

    private final List<String> profileNames;
    private final ProfileHierarchy hierarchy;
    private final SetDeclaration set;
    private final CodePlaces places;
    private final List<String> sides = new ArrayList<>();
    private final Map<WrittenName, List<Integer>> byPlace = new HashMap<>();
    private final BitSet lineages = new BitSet();
    private final Map<String, List<String>> seen = new HashMap<>();
    private BitSet ofNone;
    private ClassNames names;
    private NameSearch search;

    /**
     * Begins without a side.
     *
     * @param places what was read, place by place
     */
    SideOverview(SetDeclaration set, CodePlaces places) {
        this.set = set;
        this.places = places;
        profileNames = set.profiles().stream().map(Profile::name).toList();
        hierarchy = new ProfileHierarchy(set.profiles());
    }

    /**
     * Adds a side.
     *
     * @param name the names of its profiles
     * @param lineage its profiles, and all that they extend
     * @param sees the places of code that it sees
     */
    void add(String name, BitSet lineage, Collection<WrittenName> sees) {
        sees.forEach(
                written ->
                        byPlace.computeIfAbsent(written, it -> new ArrayList<>(1))
                                .add(sides.size()));
        sides.add(name);
        lineages.or(lineage);
    }

    int count() {
        return sides.size();
    }

    /** Whether a side is the first, or the only one. */
    boolean isFirst(String name) {
        return sides.isEmpty() || sides.get(0).equals(name);
    }

    /**
     * The profiles that matter on a side: its own, and those of no side.
     *
     * @param ofSide its profiles, and all that they extend
     */
    BitSet concerned(BitSet ofSide) {
        if (ofNone == null) {
            ofNone = new BitSet();
            ofNone.set(0, profileNames.size());
            ofNone.andNot(lineages);
        }
        BitSet concerned = (BitSet) ofSide.clone();
        concerned.or(ofNone);
        return concerned;
    }

    ProfileHierarchy hierarchy() {
        return hierarchy;
    }

    /** The names of all profiles, in the order of the file. */
    List<String> profileNames() {
        return profileNames;
    }

    /** The profiles whose names are like a name. */
    synchronized List<String> nearProfiles(String name) {
        if (search == null) {
            search = new NameSearch(profileNames);
        }
        return search.near(name);
    }

    /** The sides that see a class of that name, by the names of their profiles. */
    synchronized List<String> whoSees(WrittenName wanted) {
        return seen.computeIfAbsent(wanted.text(), text -> find(wanted));
    }

    /** A name that one side does not know, looked up in what all of them see. */
    synchronized NameLookup lookup(NameLookup unknown) {
        return names().lookup(unknown.written());
    }

    /** What of the code of the tests has a class of that name, as people read it. */
    synchronized Optional<String> testPlace(WrittenName wanted) {
        return names().lookup(wanted).found().stream()
                .flatMap(facts -> places.testPlace(facts.name()).stream())
                .findFirst();
    }

    private ClassNames names() {
        if (names == null) {
            names = new ClassNames(places.whole(), set);
        }
        return names;
    }

    private List<String> find(WrittenName wanted) {
        TreeSet<Integer> found = new TreeSet<>();
        for (ClassFacts facts : names().lookup(wanted).found()) {
            for (WrittenName place : places.having(facts.name())) {
                found.addAll(byPlace.getOrDefault(place, List.of()));
            }
        }
        return found.stream().map(sides::get).toList();
    }
}
