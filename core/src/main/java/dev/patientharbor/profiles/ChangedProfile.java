package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.LevelStatements;
import dev.patientharbor.model.PlaceStatements;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.ProfileTerms;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A profile that says something upon a planned one, alone with what it extends. */
final class ChangedProfile {

    private final Plan plan;
    private final String name;
    private Optional<WrittenName> entry = Optional.empty();
    private LevelStatements addWhole = new LevelStatements(List.of(), List.of(), List.of());
    private final List<PlaceStatements> within = new ArrayList<>();

    ChangedProfile(Plan plan, String name) {
        this.plan = plan;
        this.name = name;
    }

    String name() {
        return name;
    }

    /** Leaves one entry consumer. */
    void entry(WrittenName only) {
        entry = Optional.of(only);
    }

    void addWhole(LevelStatements statements) {
        addWhole = statements;
    }

    void within(WrittenName place, LevelStatements statements) {
        within.add(new PlaceStatements(place, statements));
    }

    ProfileSet set(NameCollector names) {
        SetDeclaration old = plan.set().declared();
        SourcePosition at = old.at();
        Profile child =
                new Profile(
                        name,
                        false,
                        List.of(new WrittenName(plan.profile(), at)),
                        ProfileTerms.NONE,
                        addWhole,
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
    private static List<Profile> lineage(SetDeclaration set, String name) {
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
