package dev.patientharbor.model;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Everything that one profile file says.
 *
 * @param title what people call it
 * @param code the compiled code to read, as written: folders, jars, patterns such as {@code
 *     lib/*.jar}
 * @param settings the files of settings, as written
 * @param packages where short class names are looked up, in order
 * @param entry the entry consumers: class names and patterns
 * @param order the environments from the desk to the real thing, as far as they are listed
 * @param consumers the consumers that the set itself states; entry consumers, all of them
 * @param defaultLifetime what holds where neither a binding nor a mark says otherwise
 * @param marks the house's own annotations and lookups
 * @param mayBeEmpty the slots of which a collection may have no member, as written
 * @param fillIn from where slots may be filled that nothing binds
 * @param strictness how grave findings are reported, and which are not
 * @param areas the areas, in order; no two of one name
 * @param profiles the profiles, in order; no two of one name
 * @param at where it stands
 */
public record SetDeclaration(
        String title,
        List<WrittenName> code,
        List<WrittenName> settings,
        List<WrittenName> packages,
        List<WrittenName> entry,
        List<WrittenName> order,
        List<StatedConsumer> consumers,
        Lifetime defaultLifetime,
        HouseMarks marks,
        List<WrittenName> mayBeEmpty,
        List<FillInSource> fillIn,
        Strictness strictness,
        List<Area> areas,
        List<Profile> profiles,
        SourcePosition at) {
    public SetDeclaration {
        code = List.copyOf(code);
        settings = List.copyOf(settings);
        packages = List.copyOf(packages);
        entry = List.copyOf(entry);
        order = List.copyOf(order);
        consumers = List.copyOf(consumers);
        mayBeEmpty = List.copyOf(mayBeEmpty);
        fillIn = List.copyOf(fillIn);
        areas = List.copyOf(areas);
        profiles = List.copyOf(profiles);
        Set<String> names = new HashSet<>();
        for (Profile profile : profiles) {
            if (!names.add(profile.name())) {
                throw new IllegalArgumentException("two profiles of the name " + profile.name());
            }
        }
    }

    /**
     * Returns this declaration with other profiles and entry consumers, about more code; it states
     * no order of the profiles.
     */
    public SetDeclaration with(
            List<WrittenName> moreCode,
            List<Profile> others,
            List<WrittenName> entries,
            List<StatedConsumer> stated) {
        List<WrittenName> allCode = new ArrayList<>(code);
        allCode.addAll(moreCode);
        return new SetDeclaration(
                title,
                allCode,
                settings,
                packages,
                entries,
                List.of(),
                stated,
                defaultLifetime,
                marks,
                mayBeEmpty,
                fillIn,
                strictness,
                areas,
                others,
                at);
    }

    /** Returns this declaration about other code; each profile keeps what is its own. */
    public SetDeclaration about(List<WrittenName> otherCode) {
        return new SetDeclaration(
                title,
                otherCode,
                settings,
                packages,
                entry,
                order,
                consumers,
                defaultLifetime,
                marks,
                mayBeEmpty,
                fillIn,
                strictness,
                areas,
                profiles,
                at);
    }

    /** Everything that its profiles bind, at whatever level. */
    public Stream<Binding> bindings() {
        List<Binding> all = new ArrayList<>();
        for (Profile profile : profiles) {
            all.addAll(profile.words().bindings());
            profile.within().forEach(statements -> all.addAll(statements.words().bindings()));
        }
        return all.stream();
    }
}
