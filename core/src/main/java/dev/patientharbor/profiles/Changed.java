package dev.patientharbor.profiles;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Declaration;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.Terms;
import dev.patientharbor.model.Within;
import dev.patientharbor.model.Words;
import dev.patientharbor.model.Written;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A profile that says something upon a planned one, alone with what it extends. */
final class Changed {

    private final Plan plan;
    private final String name;
    private Optional<Written> entry = Optional.empty();
    private Words whole = new Words(List.of(), List.of(), List.of());
    private final List<Within> within = new ArrayList<>();

    Changed(Plan plan, String name) {
        this.plan = plan;
        this.name = name;
    }

    String name() {
        return name;
    }

    /** Leaves one entry consumer. */
    void entry(Written only) {
        entry = Optional.of(only);
    }

    void whole(Words words) {
        whole = words;
    }

    void within(Written place, Words words) {
        within.add(new Within(place, words));
    }

    ProfileSet set(Names names) {
        Declaration old = plan.set().declared();
        Where at = old.at();
        Profile child =
                new Profile(
                        name,
                        false,
                        List.of(new Written(plan.profile(), at)),
                        Terms.NONE,
                        whole,
                        within,
                        at);
        List<Profile> profiles = lineage(old, plan.profile());
        profiles.add(child);
        return plan.set()
                .with(
                        profiles,
                        entry.map(List::of).orElse(old.entry()),
                        entry.isPresent() ? List.of() : old.consumers(),
                        names);
    }

    /** A profile and all that it extends, as partial ones, in the order of the set. */
    private static List<Profile> lineage(Declaration set, String name) {
        Set<String> wanted = new HashSet<>();
        List<String> open = new ArrayList<>(List.of(name));
        for (int i = 0; i < open.size(); i++) {
            String one = open.get(i);
            if (wanted.add(one)) {
                set.profiles().stream()
                        .filter(profile -> profile.name().equals(one))
                        .flatMap(profile -> profile.parents().stream())
                        .forEach(parent -> open.add(parent.text()));
            }
        }
        List<Profile> lineage = new ArrayList<>();
        set.profiles().stream()
                .filter(profile -> wanted.contains(profile.name()))
                .map(Profile::asPartial)
                .forEach(lineage::add);
        return lineage;
    }
}
