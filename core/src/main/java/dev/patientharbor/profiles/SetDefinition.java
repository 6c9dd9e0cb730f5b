package dev.patientharbor.profiles;

import dev.patientharbor.code.CodeRoot;
import dev.patientharbor.code.TestCode;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.HouseMarks;
import dev.patientharbor.model.HouseMarks.ScopeMark;
import dev.patientharbor.model.HouseMarks.TouchMark;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.survey.TouchKind;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.Suppression;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.NearNames;
import dev.patientharbor.texts.RequiredArgument;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * Says a set of profiles: all that a profile file can say, and objects that are handed in. The line
 * of each call is the place that findings name. Not for several threads.
 *
 * <pre>{@code
 * ProfileSet port =
 *         ProfileSet.define(
 *                 "port",
 *                 set -> {
 *                     set.codeOf(FeeBooth.class);
 *                     set.packages("gullwing.port", "gullwing.works");
 *                     set.entry("gullwing.quay.FeeBoard", "gullwing.quay.FeeBooth");
 *                     set.thing("fees.page", Map.of("fees", "FeeSchedule"));
 *                     set.severity("cannot-swap", Severity.WARNING);
 *                     set.profile(
 *                             "live",
 *                             live -> {
 *                                 live.fill("FeeSchedule", real("TonnageFee"));
 *                                 live.fill("CardTerminal", real("BankCardTerminal"));
 *                             });
 *                 });
 * port.check().requireComplete();
 * }</pre>
 */
public final class SetDefinition {

    private final String title;
    private final SourcePosition at;
    private final NameCollector names = new NameCollector();
    private final List<WrittenName> code = new ArrayList<>();
    private final Map<String, String> settings = new HashMap<>();
    private final List<WrittenName> packages = new ArrayList<>();
    private final List<WrittenName> entry = new ArrayList<>();
    private final List<WrittenName> order = new ArrayList<>();
    private final List<StatedConsumer> consumers = new ArrayList<>();
    private Lifetime lifetime = Lifetime.SHARED;
    private final List<WrittenName> inject = new ArrayList<>();
    private final List<WrittenName> key = new ArrayList<>();
    private final List<WrittenName> absent = new ArrayList<>();
    private final List<WrittenName> lookup = new ArrayList<>();
    private final List<ScopeMark> scopes = new ArrayList<>();
    private final List<TouchMark> touches = new ArrayList<>();
    private final List<WrittenName> mayBeEmpty = new ArrayList<>();
    private final List<FillInSource> fillIn = new ArrayList<>();
    private final Map<String, Severity> severities = new HashMap<>();
    private final List<Suppression> suppressions = new ArrayList<>();
    private final List<AreaDefinition> areas = new ArrayList<>();
    private final Map<String, ProfileDefinition> profiles = new LinkedHashMap<>();

    SetDefinition(String title, SourcePosition at) {
        this.title = title;
        this.at = at;
    }

    /**
     * Adds compiled code to read: folders, jars, or patterns for jars. Without a word it is the
     * places from which the classes were loaded that are named here.
     */
    public void code(Path... places) {
        RequiredArgument.each(places, "places");
        SourcePosition here = CallerPositions.here();
        Arrays.stream(places).forEach(path -> code.add(new WrittenName(path.toString(), here)));
    }

    /** Adds the compiled code from which these classes were loaded. */
    public void codeOf(Class<?>... types) {
        RequiredArgument.each(types, "types");
        names.classes().addAll(List.of(types));
    }

    /** Says in which packages short class names in texts are looked up, in order. */
    public void packages(String... names) {
        RequiredArgument.of(names, "names");
        packages.addAll(NameCollector.written(names, CallerPositions.here()));
    }

    /** Adds a setting for {@code ${NAME}}; the system properties and the environment come first. */
    public void setting(String name, String value) {
        RequiredArgument.of(name, "name");
        RequiredArgument.of(value, "value");
        settings.put(name, value);
    }

    /** Adds entry consumers: what they need is followed from here. */
    public void entry(Class<?>... types) {
        RequiredArgument.of(types, "types");
        entry.addAll(names.written(types, CallerPositions.here()));
    }

    /** Adds entry consumers by name, or by patterns such as {@code gullwing.quay.*}. */
    public void entry(String... patterns) {
        RequiredArgument.of(patterns, "patterns");
        entry.addAll(NameCollector.written(patterns, CallerPositions.here()));
    }

    /** Says the order of the environments, from the desk to the real thing. */
    public void order(String... profiles) {
        RequiredArgument.of(profiles, "profiles");
        order.addAll(NameCollector.written(profiles, CallerPositions.here()));
    }

    /** Says how long instances live where neither a binding nor a mark nor a profile says it. */
    public void lifetime(Lifetime wanted) {
        RequiredArgument.of(wanted, "wanted");
        lifetime = wanted;
    }

    /** Says from where slots may be filled that nothing binds. */
    public void fillIn(FillInSource... ways) {
        RequiredArgument.each(ways, "ways");
        fillIn.addAll(List.of(ways));
    }

    /** Names slots, as text, of which a collection may have no member. */
    public void mayBeEmpty(String... slots) {
        RequiredArgument.of(slots, "slots");
        mayBeEmpty.addAll(NameCollector.written(slots, CallerPositions.here()));
    }

    /** Names annotations of the house that mean: inject here. */
    public void marksInject(String... annotations) {
        RequiredArgument.of(annotations, "annotations");
        inject.addAll(NameCollector.written(annotations, CallerPositions.here()));
    }

    /** Names annotations of the house that give a key. */
    public void marksKey(String... annotations) {
        RequiredArgument.of(annotations, "annotations");
        key.addAll(NameCollector.written(annotations, CallerPositions.here()));
    }

    /** Names annotations of the house that mean: may be absent. */
    public void marksAbsent(String... annotations) {
        RequiredArgument.of(annotations, "annotations");
        absent.addAll(NameCollector.written(annotations, CallerPositions.here()));
    }

    /** Names lookup methods, {@code CLASS#METHOD}: their calls with constants are needs. */
    public void marksLookup(String... methods) {
        RequiredArgument.each(methods, "methods");
        for (String method : methods) {
            if (!method.matches("[^#]+#[^#]+")) {
                throw new IllegalArgumentException(
                        method + " is not a method: write it as CLASS#METHOD");
            }
        }
        lookup.addAll(NameCollector.written(methods, CallerPositions.here()));
    }

    /**
     * Says that code of the house reaches outside, beside what is known of the JDK.
     *
     * @param patterns classes, packages with {@code .**} behind them, or {@code CLASS#MEMBER}
     */
    public void marksTouches(TouchKind kind, String... patterns) {
        RequiredArgument.of(kind, "kind");
        RequiredArgument.each(patterns, "patterns");
        SourcePosition at = CallerPositions.here();
        for (String pattern : patterns) {
            touches.add(new TouchMark(kind, new WrittenName(pattern, at)));
        }
    }

    /** Says the lifetime for which a scope mark stands. */
    public void marksScope(Class<?> mark, Lifetime stands) {
        RequiredArgument.of(stands, "stands");
        scopes.add(new ScopeMark(names.written(mark, CallerPositions.here()), stands));
    }

    /**
     * Adds a method that is an entry consumer.
     *
     * @param passed the parameters that its caller passes; all others are needs
     */
    public void handler(Class<?> holder, String method, String... passed) {
        RequiredArgument.of(method, "method");
        RequiredArgument.of(passed, "passed");
        SourcePosition here = CallerPositions.here();
        WrittenName type = names.written(holder, here);
        consumers.add(
                new StatedConsumer.Handler(
                        new WrittenName(type.text() + '#' + method, here),
                        type,
                        method,
                        NameCollector.written(passed, here)));
    }

    /**
     * Classes whose static members with the standard's mark somebody fills, as {@code
     * Rig.fillStatics} does: what these ask for is checked, and stands in the roster.
     */
    public void statics(Class<?>... types) {
        RequiredArgument.of(types, "types");
        for (Class<?> type : types) {
            consumers.add(new StatedConsumer.Statics(names.written(type, CallerPositions.here())));
        }
    }

    /**
     * Adds an entry consumer that is no class, such as a page template.
     *
     * @param needs what it needs: a slot, as text, by the name of the need
     */
    public void thing(String name, Map<String, String> needs) {
        RequiredArgument.of(needs, "needs");
        Map<String, Slot> slots = new LinkedHashMap<>();
        needs.forEach((need, slot) -> slots.put(need, NameCollector.slot(slot)));
        consumers.add(
                new StatedConsumer.Thing(new WrittenName(name, CallerPositions.here()), slots));
    }

    /**
     * Gives findings of a kind another severity.
     *
     * @throws IllegalArgumentException if there is no such id
     */
    public void severity(String id, Severity wanted) {
        RequiredArgument.of(id, "id");
        RequiredArgument.of(wanted, "wanted");
        severities.put(known(id), wanted);
    }

    /**
     * Suppresses findings of a kind at one place.
     *
     * @param of a slot, a class or a consumer that the finding names, or {@code FILE:LINE}
     * @throws IllegalArgumentException if there is no such id, or no reason
     */
    public void suppress(String id, String of, Grounds grounds) {
        RequiredArgument.of(id, "id");
        RequiredArgument.of(of, "of");
        RequiredArgument.of(grounds, "grounds");
        suppressions.add(new Suppression(known(id), of, grounds, CallerPositions.here()));
    }

    /**
     * Suppresses all findings of a kind.
     *
     * @param id the id of the kind
     * @param grounds why, who answers for it, until when; there is a reason
     */
    public void suppress(String id, Grounds grounds) {
        RequiredArgument.of(id, "id");
        RequiredArgument.of(grounds, "grounds");
        suppress(id, "", grounds);
    }

    private static String known(String id) {
        List<String> ids = FindingKinds.all().stream().map(FindingKind::id).toList();
        if (!ids.contains(id)) {
            throw new IllegalArgumentException(
                    "there is no finding of the id " + id + "; near are " + NearNames.of(id, ids));
        }
        return id;
    }

    /** Declares an area: the answer is asked what belongs to it. */
    public AreaDefinition area(String name) {
        RequiredArgument.of(name, "name");
        AreaDefinition area = new AreaDefinition(name, names, CallerPositions.here());
        areas.add(area);
        return area;
    }

    /**
     * Declares a profile.
     *
     * @throws IllegalArgumentException if there is one of that name
     */
    public void profile(String name, Consumer<ProfileDefinition> words) {
        RequiredArgument.of(name, "name");
        RequiredArgument.of(words, "words");
        ProfileDefinition profile = new ProfileDefinition(name, names, CallerPositions.here());
        if (profiles.putIfAbsent(name, profile) != null) {
            throw new IllegalArgumentException("there is a profile " + name + " already");
        }
        words.accept(profile);
    }

    ProfileSet set() {
        List<Profile> all = profiles.values().stream().map(ProfileDefinition::profile).toList();
        List<WrittenName> own =
                all.stream()
                        .flatMap(each -> each.terms().code().stream())
                        .flatMap(List::stream)
                        .toList();
        List<WrittenName> places =
                new ArrayList<>(code.isEmpty() ? LoadedFrom.places(names.classes(), at) : code);
        List<CodeRoot> roots =
                Stream.concat(places.stream(), own.stream())
                        .filter(name -> !TestCode.isWord(name))
                        .map(name -> new CodeRoot(name, Path.of(name.text())))
                        .toList();
        if (own.stream().noneMatch(TestCode::isNamed)) {
            places.add(new WrittenName(TestCode.WORD, at));
        }
        SetDeclaration declared =
                new SetDeclaration(
                        title,
                        places,
                        List.of(),
                        packages,
                        entry,
                        order,
                        consumers,
                        lifetime,
                        new HouseMarks(inject, key, absent, lookup, scopes, touches),
                        mayBeEmpty,
                        fillIn.stream().distinct().toList(),
                        new Strictness(severities, suppressions),
                        areas.stream().map(AreaDefinition::area).toList(),
                        all,
                        at);
        return ProfileSet.of(declared, roots, settings, List.of(), List.of());
    }
}
