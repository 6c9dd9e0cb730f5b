package dev.patientharbor.profiles;

import dev.patientharbor.check.Checker;
import dev.patientharbor.check.IncompleteProfileException;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.CodePlaces;
import dev.patientharbor.code.CodeReader;
import dev.patientharbor.code.CodeRoot;
import dev.patientharbor.code.GivenCode;
import dev.patientharbor.code.ReadAhead;
import dev.patientharbor.code.TestCode;
import dev.patientharbor.drafting.WiringDraft;
import dev.patientharbor.drafting.WiringDrafter;
import dev.patientharbor.files.FileIdentity;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.CodeSide;
import dev.patientharbor.model.CheckCircumstances;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.survey.Survey;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.surveying.SurveyMaker;
import dev.patientharbor.surveying.TouchTable;
import dev.patientharbor.terms.Settings;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.RequiredArgument;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A declared set of profiles with the code that it is about: from a file, or said in Java.
 *
 * <pre>{@code
 * ProfileSet port =
 *         ProfileSet.define(
 *                 "Gullwing Ferry Port",
 *                 set -> {
 *                     set.entry(BridgeWatch.class);
 *                     set.profile(
 *                             "test",
 *                             test -> {
 *                                 test.fill(TideGauge.class, stub(FixedTideGauge.class));
 *                                 test.fill(WeatherFeed.class, real(CoastFeed.class));
 *                                 test.decorate(WeatherFeed.class, CachedFeed.class);
 *                             });
 *                 });
 * port.check().requireNothing(Severity.WARNING);
 * RosterNeed weather = port.plan("test").roster().of(BridgeWatch.class).need("weather");
 * assertEquals("CachedFeed → real CoastFeed", weather.received());
 * assertTrue(weather.is(CoastFeed.class));
 * }</pre>
 *
 * <p>Immutable. Each class of the code is read when it is first needed, and once; jars stay open as
 * long as the set is in use. May be used by several threads.
 */
public final class ProfileSet {

    private final SetDeclaration declared;
    private final List<CodeRoot> code;
    private final boolean all;
    private final Settings settings;
    private final List<Finding> findings;
    private final List<Path> files;
    private volatile Optional<CodePlaces> read = Optional.empty();
    private Optional<Answered> answered = Optional.empty();
    private Map<String, List<WrittenName>> placesByProfile;

    /** What was found on a day, and the plans that were asked for since. */
    private record Answered(LocalDate day, Verdict verdict, Map<String, Plan> plans) {}

    private ProfileSet(
            SetDeclaration declared,
            List<CodeRoot> code,
            boolean all,
            Settings settings,
            List<Finding> findings,
            List<Path> files) {
        this.declared = declared;
        this.files = List.copyOf(files);
        this.code = List.copyOf(code);
        this.all = all;
        this.settings = settings;
        this.findings = List.copyOf(findings);
    }

    /**
     * Declares a set in Java: all that a file can say, and objects that are handed in.
     *
     * @param title what people call it
     * @param words says it; the line of each call is the place that findings name
     */
    public static ProfileSet define(String title, Consumer<SetDefinition> words) {
        RequiredArgument.of(title, "title");
        RequiredArgument.of(words, "words");
        SetDefinition definition = new SetDefinition(title, CallerPositions.here());
        words.accept(definition);
        return definition.set();
    }

    /**
     * Returns a set that was declared somewhere. For our own modules. Settings are those of this
     * process: its system properties, its environment, then the given ones.
     *
     * @param declared what was declared
     * @param code the compiled code that it names
     * @param settings what its files of settings say
     * @param findings what is wrong with the declaration itself
     * @param files the files that it names, itself and settings included; none if it was said in
     *     Java
     */
    public static ProfileSet of(
            SetDeclaration declared,
            List<CodeRoot> code,
            Map<String, String> settings,
            List<Finding> findings,
            List<Path> files) {
        Map<String, String> properties = new HashMap<>();
        System.getProperties()
                .stringPropertyNames()
                .forEach(name -> properties.put(name, System.getProperty(name)));
        return new ProfileSet(
                declared,
                code,
                false,
                new Settings(properties, System.getenv(), settings),
                findings,
                files);
    }

    /**
     * Returns this set about other code. Every profile sees all of it, but for places that some
     * profile names as its own, and for code of the tests.
     *
     * @param places folders, jars, or patterns whose last name may hold {@code *} and {@code ?}
     */
    public ProfileSet withCode(Path... places) {
        RequiredArgument.each(places, "places");
        List<CodeRoot> given =
                Arrays.stream(places)
                        .map(
                                path ->
                                        new CodeRoot(
                                                new WrittenName(path.toString(), declared.at()),
                                                path))
                        .toList();
        Stream<WrittenName> word = declared.code().stream().filter(TestCode::isWord);
        SetDeclaration about =
                declared.about(Stream.concat(word, given.stream().map(CodeRoot::written)).toList());
        List<CodeRoot> roots = GivenCode.roots(given, ownCode());
        return new ProfileSet(about, roots, all, settings, findings, files);
    }

    /**
     * Returns this set with the knowledge that some of its code is the tests': profiles see it if
     * they, or what they extend, say so. Folders named {@code test-classes} are known without this,
     * and what a profile names as its own stays its own.
     *
     * @param places folders and jars that are among its code
     */
    public ProfileSet withTestCode(Path... places) {
        RequiredArgument.each(places, "places");
        Set<Object> known = Arrays.stream(places).map(FileIdentity::of).collect(Collectors.toSet());
        List<CodeRoot> own = ownCode();
        List<CodeRoot> roots =
                code.stream()
                        .map(
                                root ->
                                        !own.contains(root)
                                                        && known.contains(
                                                                FileIdentity.of(root.path()))
                                                ? root.ofTests()
                                                : root)
                        .toList();
        return new ProfileSet(declared, roots, all, settings, findings, files);
    }

    /** What of its code profiles name as their own. */
    private List<CodeRoot> ownCode() {
        Set<WrittenName> own = new HashSet<>();
        declared.profiles().forEach(profile -> profile.terms().code().ifPresent(own::addAll));
        return code.stream().filter(root -> own.contains(root.written())).toList();
    }

    /**
     * Returns this set, of which each check reads every class of the code: damaged class files are
     * reported then, though no answer depends on them. Without this only those are that a check
     * looks at.
     */
    public ProfileSet readingAllCode() {
        return new ProfileSet(declared, code, true, settings, findings, files);
    }

    /** Returns this set with other settings. */
    public ProfileSet withSettings(Settings others) {
        RequiredArgument.of(others, "others");
        return new ProfileSet(declared, code, all, others, findings, files);
    }

    /**
     * Returns a set of other profiles and entry consumers about the same code and settings. What
     * was read is not read again unless more must be known of it.
     *
     * @param names the classes that are named beside
     */
    ProfileSet with(
            List<Profile> profiles,
            List<WrittenName> entries,
            List<StatedConsumer> stated,
            NameCollector names) {
        List<WrittenName> more = LoadedFrom.places(unknown(names.classes()), declared.at());
        List<CodeRoot> roots = new ArrayList<>(code);
        more.forEach(name -> roots.add(new CodeRoot(name, Path.of(name.text()))));
        List<WrittenName> seen = new ArrayList<>(more);
        CodePlaces places = read().orElseThrow();
        if (!more.isEmpty()
                || names.classes().stream()
                        .anyMatch(type -> places.testPlace(type.getName()).isPresent())) {
            // Whoever hands in classes of the tests is a test.
            seen.add(new WrittenName(TestCode.WORD, declared.at()));
        }
        SetDeclaration other = declared.with(seen, profiles, entries, stated);
        ProfileSet changed = new ProfileSet(other, roots, all, settings, findings, files);
        if (more.isEmpty() && FactsRequestMaker.of(declared).covers(FactsRequestMaker.of(other))) {
            changed.read = read();
        }
        return changed;
    }

    /**
     * Returns the plan of a complete profile: who receives what; the same plan each time, for a
     * day.
     *
     * @throws IncompleteProfileException if it is not, with all that is wrong
     * @throws IllegalArgumentException if there is no such profile, or it is partial
     */
    public synchronized Plan plan(String profile) {
        RequiredArgument.of(profile, "the name of a profile");
        Verdict verdict = check();
        verdict.requireComplete(profile);
        return answered.orElseThrow()
                .plans()
                .computeIfAbsent(profile, name -> new Plan(this, verdict, name));
    }

    /**
     * Returns who receives what in a profile, complete or not.
     *
     * @throws IllegalArgumentException if there is no such profile, or it is partial
     */
    public Roster roster(String profile) {
        return check().roster(profile);
    }

    /** Returns the title, and the names of the profiles. */
    @Override
    public String toString() {
        return declared.title()
                + ": "
                + declared.profiles().stream()
                        .map(profile -> profile.name())
                        .collect(Collectors.joining(", "));
    }

    /** Returns the names of the profiles that are not partial, in the order of the file. */
    public List<String> profiles() {
        return declared.profiles().stream()
                .filter(profile -> !profile.partial())
                .map(Profile::name)
                .toList();
    }

    /** Returns what was declared. For our own modules. */
    public SetDeclaration declared() {
        return declared;
    }

    /** Returns the places of the compiled code that it is about. For our own modules. */
    public List<CodeRoot> code() {
        return code;
    }

    /** Returns the files that it names: profile files and settings; none if it was said in Java. */
    public List<Path> files() {
        return files;
    }

    /** Returns all that it is read from: its files, and the folders and jars of its code. */
    public List<Path> readFrom() {
        return Stream.concat(files.stream(), code.stream().map(CodeRoot::path)).toList();
    }

    /**
     * Takes over the code that another set has read, if it is the same places and all that this one
     * asks of it; only while no class file has changed.
     */
    public synchronized void shareCodeOf(ProfileSet before) {
        RequiredArgument.of(before, "before");
        boolean isSameCode =
                code.stream()
                        .map(CodeRoot::path)
                        .toList()
                        .equals(before.code.stream().map(CodeRoot::path).toList());
        if (isSameCode
                && FactsRequestMaker.of(before.declared).covers(FactsRequestMaker.of(declared))) {
            read = before.read();
        }
    }

    /**
     * Returns how many class files were read so far, with one that was read twice counting twice;
     * another thread may ask while this is being checked.
     */
    public long filesRead() {
        return read.map(CodePlaces::filesRead).orElse(0L);
    }

    /** Returns whether it, or its code, was read from a file, under whatever name. */
    public boolean isReadFrom(Path file) {
        RequiredArgument.of(file, "file");
        Object identity = FileIdentity.of(file);
        return Stream.concat(files.stream(), code.stream().map(CodeRoot::path))
                        .anyMatch(path -> FileIdentity.of(path).equals(identity))
                || read().orElseThrow().isReadFrom(file);
    }

    /**
     * Returns the folders and jars whose classes a profile sees, absolute: a class path for it.
     *
     * @throws IllegalArgumentException if there is no such profile
     */
    public List<Path> classPath(String profile) {
        List<WrittenName> places =
                placesByProfile().get(RequiredArgument.of(profile, "the name of a profile"));
        if (places == null) {
            throw new IllegalArgumentException("there is no profile " + profile);
        }
        return read().orElseThrow().paths(places);
    }

    /** The places of code that each profile sees. */
    private synchronized Map<String, List<WrittenName>> placesByProfile() {
        if (placesByProfile == null) {
            List<List<WrittenName>> ofEach = CodeSide.placesByProfile(declared);
            placesByProfile = new HashMap<>();
            for (int i = 0; i < declared.profiles().size(); i++) {
                placesByProfile.put(declared.profiles().get(i).name(), ofEach.get(i));
            }
        }
        return placesByProfile;
    }

    /** Returns its settings; no report prints their values. */
    public Settings settings() {
        return settings;
    }

    /** Returns what is wrong with the declaration itself; part of every verdict. */
    public List<Finding> findings() {
        return findings;
    }

    /**
     * Surveys the code of this set: contracts, hard-wired construction, what reaches outside. Reads
     * every class, with the bodies of its methods; loads and runs none.
     */
    public synchronized Survey survey() {
        CodePlaces places = read().orElseThrow().anew();
        return survey(places, places.whole());
    }

    /** Surveys what all profiles see. */
    synchronized Survey surveyOfAll() {
        CodePlaces places = read().orElseThrow().anew();
        return survey(places, places.only(CodeSide.placesOfAll(declared)));
    }

    private Survey survey(CodePlaces places, CodeIndex code) {
        code.readAll();
        TouchTable table = TouchTable.ofJdk().with(declared.marks().touchPatterns());
        return new SurveyMaker(code, table).survey(places.findings());
    }

    /**
     * Tells what reaches outside of all that the profiles hold, by binary name: consumers,
     * implementations, decorators, and factories as {@code Class#method}. Reads the bodies of their
     * methods; loads and runs none.
     */
    public synchronized SortedMap<String, List<Touch>> touches() {
        return check().touches();
    }

    /**
     * Says as profiles what a method of the code does that wires by hand. For our own modules.
     *
     * @param className the binary name of its class
     * @param method its name; blank for the constructor
     * @throws IllegalArgumentException if there is no such method, or it wires nothing
     */
    public synchronized List<WiringDraft> wiringDrafts(String className, String method) {
        RequiredArgument.of(className, "className");
        RequiredArgument.of(method, "method");
        CodePlaces places = read().orElseThrow().anew();
        return new WiringDrafter(places.whole(), declared).draft(className, method);
    }

    /**
     * Checks every profile, and holds one of them against a method that wires by hand: what it
     * hands over, and what the profile gives instead. The bodies of the code are read; none is run.
     *
     * @param profile the profile
     * @param method {@code CLASS#METHOD}, or a class for its constructor
     * @param today the day that {@code until} is compared with
     * @throws IllegalArgumentException if there is no such profile, no such method, or it wires
     *     nothing
     */
    public Verdict checkWiring(String profile, String method, LocalDate today) {
        RequiredArgument.of(profile, "profile");
        String[] parts = RequiredArgument.of(method, "method").split("#", 2);
        Verdict verdict = check(today);
        List<WiringDraft> ways = wiringDrafts(parts[0], parts.length > 1 ? parts[1] : "");
        return verdict.with(
                Map.of(profile, WiringComparer.findings(verdict, profile, ways, method)),
                FindingKinds.WIRED_OTHERWISE,
                today);
    }

    /** Checks every profile, as of today. No class of the user's is loaded and none is run. */
    public Verdict check() {
        return check(LocalDate.now());
    }

    private Set<Class<?>> unknown(Set<Class<?>> classes) {
        Verdict known = check();
        return classes.stream()
                .filter(type -> !known.knows(type.getName()))
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private synchronized Optional<CodePlaces> read() {
        if (read.isEmpty()) {
            read = Optional.of(CodeReader.open(code, FactsRequestMaker.of(declared)));
        }
        return read;
    }

    /**
     * Checks every profile.
     *
     * @param today the day that {@code until} is compared with
     */
    public synchronized Verdict check(LocalDate today) {
        RequiredArgument.of(today, "today");
        if (answered.filter(answered -> answered.day().equals(today)).isEmpty()) {
            Verdict verdict = newVerdict(today);
            answered = Optional.of(new Answered(today, verdict, new HashMap<>()));
        }
        return answered.get().verdict();
    }

    private Verdict newVerdict(LocalDate today) {
        CodePlaces places = read().orElseThrow().anew();
        if (all) {
            places.readAll();
        }
        CheckCircumstances circumstances = new CheckCircumstances(settings, today, findings);
        List<String> packages = declared.packages().stream().map(WrittenName::text).toList();
        ReadAhead ahead = places.readAhead(NamedClasses.of(declared), packages);
        try {
            return Checker.check(declared, places, circumstances);
        } finally {
            ahead.close();
        }
    }
}
