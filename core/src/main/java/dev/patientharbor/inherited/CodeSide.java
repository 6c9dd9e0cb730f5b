package dev.patientharbor.inherited;

import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.CodePlaces;
import dev.patientharbor.code.TestCode;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The profiles that see the same code. Each side is resolved by itself, against the classes that it
 * has.
 *
 * @param code what its profiles see
 * @param profiles the numbers of the profiles that are checked on it
 * @param name the names of its profiles
 * @param lineages these profiles, and all that they extend
 * @param all what each side sees, this one too
 */
public record CodeSide(
        CodeIndex code, BitSet profiles, String name, BitSet lineages, SideOverview all) {

    /** The sides of a set, in the order in which its profiles name them. */
    public static List<CodeSide> of(SetDeclaration set, CodePlaces places) {
        SideOverview all = new SideOverview(set, places);
        List<List<WrittenName>> seen = placesByProfile(set, all.hierarchy());
        Map<CodeIndex, BitSet> bySeen = new LinkedHashMap<>();
        for (int profileNumber = 0; profileNumber < set.profiles().size(); profileNumber++) {
            if (!set.profiles().get(profileNumber).partial()) {
                bySeen.computeIfAbsent(places.only(seen.get(profileNumber)), code -> new BitSet())
                        .set(profileNumber);
            }
        }
        if (bySeen.isEmpty()) {
            bySeen.put(places.only(placesOfAll(set)), new BitSet());
        }
        List<CodeSide> sides = new ArrayList<>();
        bySeen.forEach(
                (code, profiles) -> {
                    String name = names(set, profiles);
                    BitSet lineages = (BitSet) profiles.clone();
                    Set<WrittenName> written = new LinkedHashSet<>();
                    profiles.stream()
                            .forEach(
                                    profile -> {
                                        lineages.or(all.hierarchy().ancestors(profile));
                                        written.addAll(seen.get(profile));
                                    });
                    all.add(name, lineages, written);
                    sides.add(new CodeSide(code, profiles, name, lineages, all));
                });
        return sides;
    }

    /** The places of code that all profiles see. */
    public static List<WrittenName> placesOfAll(SetDeclaration set) {
        return set.code().stream()
                .map(each -> TestCode.isWord(each) ? TestCode.placeOf(each) : each)
                .toList();
    }

    /** The places of code that each profile sees, in the order of the file. */
    public static List<List<WrittenName>> placesByProfile(SetDeclaration set) {
        return placesByProfile(set, new ProfileHierarchy(set.profiles()));
    }

    /**
     * Lists the places of code by profile: the set's, and those that the profile adds or else
     * inherits.
     */
    private static List<List<WrittenName>> placesByProfile(
            SetDeclaration set, ProfileHierarchy hierarchy) {
        List<List<WrittenName>> seen =
                new ArrayList<>(Collections.nCopies(set.profiles().size(), null));
        for (int profileNumber : hierarchy.order()) {
            List<Integer> parents = hierarchy.parents(profileNumber);
            Optional<List<WrittenName>> own = set.profiles().get(profileNumber).terms().code();
            if (own.isEmpty() && parents.size() == 1) {
                seen.set(profileNumber, seen.get(parents.get(0)));
            } else {
                Set<WrittenName> all = new LinkedHashSet<>(placesOfAll(set));
                if (own.isPresent()) {
                    own.get().forEach(written -> all.add(TestCode.placeOf(written)));
                } else {
                    parents.forEach(parent -> all.addAll(seen.get(parent)));
                }
                seen.set(profileNumber, List.copyOf(all));
            }
        }
        return seen;
    }

    private static String names(SetDeclaration set, BitSet profiles) {
        return String.join(
                ", ",
                profiles.stream().mapToObj(profile -> set.profiles().get(profile).name()).toList());
    }

    /** The profiles that see a class of that name, where those of this side do not. */
    public List<String> whoSees(WrittenName wanted) {
        return all.whoSees(wanted).stream().filter(other -> !other.equals(name)).toList();
    }

    /**
     * The profiles of which it matters here what they say, by number: what is checked here, all
     * that this extends, and what is checked on no side at all.
     */
    public BitSet concerned() {
        return all.concerned(lineages);
    }

    /**
     * What of the code of the tests has a class that this side does not see, as people read it.
     *
     * @param wanted a name that no class of this side answers to
     */
    public Optional<String> testPlace(WrittenName wanted) {
        return all.testPlace(wanted);
    }

    /** A name that this side does not know, looked up in what all sides see. */
    NameLookup lookupAnywhere(NameLookup unknown) {
        return all.lookup(unknown);
    }

    public ProfileHierarchy hierarchy() {
        return all.hierarchy();
    }

    /** A profile and all that it extends, by number. */
    public BitSet lineage(int profile) {
        return all.hierarchy().lineage(profile);
    }

    /** Whether there is no other side. */
    public boolean isOnly() {
        return all.count() <= 1;
    }

    /** Whether what is the same on all sides is to be reported here. */
    public boolean isFirst() {
        return all.isFirst(name);
    }

    /** The names of all profiles of the set, whoever checks them, in the order of the file. */
    public List<String> profileNames() {
        return all.profileNames();
    }

    /** The profiles whose names are like a name. */
    public List<String> nearProfiles(String text) {
        return all.nearProfiles(text);
    }
}
