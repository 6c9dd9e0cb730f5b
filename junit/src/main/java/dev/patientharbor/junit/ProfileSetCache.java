package dev.patientharbor.junit;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.profiles.ProfileSet;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ExtensionContext.Store;

/** The profile sets and plans of a run of tests, each read and made once. */
final class ProfileSetCache {

    private static final Namespace OURS = Namespace.create(ProfileSetCache.class);

    private ProfileSetCache() {}

    /** What a profile set is known by: the file or the class that gives it. */
    private record Key(String file, Optional<Class<?>> from) {}

    /** What a plan is known by. */
    private record PlanKey(Key set, String profile) {}

    static ProfileSet of(ExtensionContext context) {
        Optional<Harbor> harbor = ProfileFileFinder.harbor(context.getRequiredTestClass());
        return store(context)
                .getOrComputeIfAbsent(
                        key(harbor), key -> ProfileFileFinder.open(harbor), ProfileSet.class);
    }

    static Plan plan(ExtensionContext context, String profile) {
        PlanKey key =
                new PlanKey(key(ProfileFileFinder.harbor(context.getRequiredTestClass())), profile);
        return store(context)
                .getOrComputeIfAbsent(key, absent -> of(context).plan(profile), Plan.class);
    }

    /** These profiles, or all that are not partial. */
    static List<String> named(ProfileSet set, List<String> names) {
        return names.isEmpty() ? set.profiles() : names;
    }

    private static Key key(Optional<Harbor> harbor) {
        return new Key(harbor.map(Harbor::value).orElse(""), harbor.<Class<?>>map(Harbor::from));
    }

    private static Store store(ExtensionContext context) {
        return context.getRoot().getStore(OURS);
    }
}
