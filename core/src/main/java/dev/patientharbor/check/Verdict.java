package dev.patientharbor.check;

import dev.patientharbor.accepting.AcceptedRoster;
import dev.patientharbor.assembly.Assembly;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodePlaces;
import dev.patientharbor.explaining.NeedExplanation;
import dev.patientharbor.explaining.ProfileExplanation;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.FindingText;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.names.ClassNames;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.rules.HardWirings;
import dev.patientharbor.rules.PlanTouches;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.wiring.Wiring;
import java.lang.reflect.Modifier;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a check found: in the set as a whole and in each profile. Immutable; may be used by several
 * threads.
 *
 * <pre>{@code
 * Verdict verdict = ProfileFiles.read(Path.of("../examples/port.harbor.yaml")).check();
 * verdict.requireComplete("rehearsal", "live");
 * verdict.requireNothing(Severity.WARNING);
 * assertEquals("live", verdict.coverage().slots().get(1).firstReal().orElse("nowhere"));
 * }</pre>
 */
public final class Verdict implements RosterSource {

    private final List<ResolvedSet> sides;
    private final ResolvedSet set;
    private final CodePlaces code;
    private final int classesRead;
    private final ClassNames names;
    private final List<Finding> findings;
    private final List<SuppressedFinding> suppressed;
    private final BypassedContracts bypassed;
    private SortedMap<String, List<HardWiring>> hardWired;
    private final List<ProfileVerdict> profiles;
    private final List<ProfileVerdict> shown;
    private final List<RuleFault> faults;
    private final ProfileAnswers answers;

    Verdict(
            List<ResolvedSet> sides,
            ProfileAnswers answers,
            CodePlaces code,
            int classesRead,
            ClassNames names,
            List<Finding> findings,
            List<SuppressedFinding> suppressed,
            List<ProfileVerdict> profiles,
            List<ProfileVerdict> shown,
            List<RuleFault> faults) {
        this.faults = List.copyOf(faults);
        this.sides = List.copyOf(sides);
        this.answers = answers;
        this.code = code;
        this.classesRead = classesRead;
        this.names = names;
        set = sides.get(0);
        this.findings = List.copyOf(findings);
        this.suppressed = List.copyOf(suppressed);
        bypassed =
                new BypassedContracts(
                        Stream.concat(
                                findings.stream(),
                                suppressed.stream().map(SuppressedFinding::finding)));
        this.profiles = List.copyOf(profiles);
        this.shown = List.copyOf(shown);
    }

    /** Returns the title of the set. */
    @Override
    public String title() {
        return set.declared().title();
    }

    /**
     * Returns the path of the profile file, as it was given; blank for a set that was declared in
     * Java.
     */
    @Override
    public String file() {
        return set.declared().at().match(SourcePosition.InFile::path, in -> "", in -> "");
    }

    /** Returns the number of distinct entry consumers. */
    public int entryConsumers() {
        return (int)
                        sides.stream()
                                .flatMap(side -> side.entries().stream())
                                .filter(entry -> !entry.isExclusion())
                                .flatMap(entry -> entry.classes().stream())
                                .map(ClassFacts::name)
                                .distinct()
                                .count()
                + set.declared().consumers().size();
    }

    /** Returns how many class files the check read: those that an answer depends on. */
    public int classesRead() {
        return classesRead;
    }

    /** Returns how many classes the code has. */
    public int classesThere() {
        return names.known();
    }

    /**
     * Returns what reaches outside of all that the profiles hold, by binary name: consumers,
     * implementations, decorators, and factories as {@code Class#method}. Reads the bodies of their
     * methods; loads and runs none.
     */
    public SortedMap<String, List<Touch>> touches() {
        SortedMap<String, List<Touch>> found = new TreeMap<>();
        touchesByProfile().values().forEach(touches -> touches.forEach(found::putIfAbsent));
        return found;
    }

    /** Returns the same by profile, of those that are shown and not partial. */
    public SortedMap<String, SortedMap<String, List<Touch>>> touchesByProfile() {
        Set<String> wanted = shown.stream().map(ProfileVerdict::name).collect(Collectors.toSet());
        SortedMap<String, SortedMap<String, List<Touch>>> found = new TreeMap<>();
        for (ResolvedSet side : sides) {
            PlanTouches touches = new PlanTouches(side);
            for (Wiring wiring : side.checked()) {
                String profile = wiring.profile().declared().name();
                if (wanted.contains(profile)) {
                    found.put(profile, touches.in(wiring));
                }
            }
        }
        return found;
    }

    /**
     * Returns where consumers in the plans make or fetch implementations by themselves, by binary
     * name, in order of place; of one that does not, nothing. Suppressed findings make no
     * difference.
     */
    public synchronized SortedMap<String, List<HardWiring>> hardWired() {
        if (hardWired == null) {
            SortedMap<String, List<HardWiring>> found = new TreeMap<>();
            sides.forEach(side -> HardWirings.of(side).forEach(found::putIfAbsent));
            hardWired = Collections.unmodifiableSortedMap(found);
        }
        return hardWired;
    }

    /** Returns the accepted roster of the profiles that are shown, as its file has it. */
    public String accepted() {
        return AcceptedRoster.text(rosters().values(), hardWired());
    }

    /** Returns the findings that concern no profile alone, in order of place. */
    public List<Finding> findings() {
        return findings;
    }

    /** Returns the findings that concern no profile alone and are suppressed, in order of place. */
    public List<SuppressedFinding> suppressed() {
        return suppressed;
    }

    /**
     * Returns faults of the tool itself: rules that did not come to their end. With any, no profile
     * counts as complete.
     */
    public List<RuleFault> faults() {
        return faults;
    }

    /** Returns a verdict for each profile, in the order of the file. */
    public List<ProfileVerdict> profiles() {
        return shown;
    }

    /**
     * Returns all findings of the set and of the profiles; one that several profiles share is there
     * once for each.
     */
    public List<Finding> allFindings() {
        return Stream.concat(
                        findings.stream(),
                        shown.stream().flatMap(verdict -> verdict.findings().stream()))
                .toList();
    }

    /**
     * Returns the consumers that make or fetch by themselves what a slot holds, past whatever a
     * profile says, whether that is suppressed or not; binary names, sorted.
     */
    public List<String> bypassedBy(Slot slot) {
        return bypassed.by(RequiredArgument.of(slot, "slot"));
    }

    /** Returns whether any finding is of that severity, or graver. */
    public boolean hasAtLeast(Severity severity) {
        RequiredArgument.of(severity, "severity");
        return allFindings().stream().anyMatch(finding -> isAsGrave(finding, severity));
    }

    private static boolean isAsGrave(Finding finding, Severity severity) {
        return finding.severity().compareTo(severity) >= 0;
    }

    /**
     * Returns whether a profile is complete.
     *
     * @throws IllegalArgumentException if there is no such profile, or it is partial
     */
    public boolean complete(String profile) {
        return find(RequiredArgument.of(profile, "profile"))
                .complete()
                .orElseThrow(
                        () ->
                                new IllegalArgumentException(
                                        "the profile " + profile + " is partial"));
    }

    /**
     * Returns a line that says of each profile whether it is complete, then all findings, each
     * once.
     */
    @Override
    public String toString() {
        String told =
                shown.stream()
                        .map(
                                verdict ->
                                        verdict.name()
                                                + ' '
                                                + (verdict.isPartial() ? "partial" : word(verdict)))
                        .collect(Collectors.joining(", ", title() + ": ", "\n"));
        return told + FindingText.of(allFindings().stream().distinct().toList());
    }

    private String word(ProfileVerdict verdict) {
        return complete(verdict.name()) ? "complete" : "not complete";
    }

    /**
     * Throws if a profile is not complete; for tests.
     *
     * @param names those profiles; all that are not partial without a name
     * @throws IncompleteProfileException if one is not, with all that is wrong, as {@code check}
     *     tells it
     * @throws IllegalArgumentException if there is no such profile, or it is partial
     */
    public void requireComplete(String... names) {
        RequiredArgument.each(names, "names");
        List<String> wanted =
                names.length > 0
                        ? List.of(names)
                        : profiles.stream()
                                .filter(verdict -> !verdict.isPartial())
                                .map(ProfileVerdict::name)
                                .toList();
        List<String> incomplete = wanted.stream().filter(profile -> !complete(profile)).toList();
        if (!incomplete.isEmpty()) {
            throw new IncompleteProfileException(
                    (incomplete.size() == 1 ? "this profile is" : "these profiles are")
                            + " not complete: "
                            + String.join(", ", incomplete),
                    whatBreaks(incomplete));
        }
        if (wanted.isEmpty()) {
            throw new IncompleteProfileException(
                    "no profile was checked: all are partial, or there is none", findings);
        }
    }

    /**
     * Throws if anything of that severity, or graver, was found; for tests.
     *
     * @throws IllegalStateException if something was, with all of it
     */
    public void requireNothing(Severity orGraver) {
        RequiredArgument.of(orGraver, "orGraver");
        List<Finding> grave =
                once(
                        allFindings().stream()
                                .filter(finding -> isAsGrave(finding, orGraver))
                                .toList());
        if (!grave.isEmpty()) {
            throw new IllegalStateException(
                    "something was found that is a "
                            + orGraver.word()
                            + " or graver\n"
                            + FindingText.of(grave));
        }
    }

    /**
     * Returns the findings that leave profiles incomplete: theirs, their parents' and the set's.
     */
    private List<Finding> whatBreaks(List<String> incomplete) {
        Verdict some = only(incomplete);
        Stream<Finding> suppressedOnes =
                Stream.concat(
                                some.suppressed.stream(),
                                some.shown.stream()
                                        .flatMap(verdict -> verdict.suppressed().stream()))
                        .map(SuppressedFinding::finding);
        return once(
                Stream.concat(some.allFindings().stream(), suppressedOnes)
                        .filter(finding -> finding.kind().breaksCompleteness())
                        .toList());
    }

    private static List<Finding> once(List<Finding> findings) {
        Map<String, Finding> once = new LinkedHashMap<>();
        findings.forEach(finding -> once.putIfAbsent(finding.identity(), finding));
        return List.copyOf(once.values());
    }

    /**
     * Returns who receives what in a profile, complete or not.
     *
     * @throws IllegalArgumentException if there is no such profile, or it is partial
     */
    public Roster roster(String profile) {
        return answers.roster(profile);
    }

    /** Returns the rosters of all profiles that are shown and not partial, in their order. */
    public Map<String, Roster> rosters() {
        return rosters(profiles());
    }

    /** Returns the rosters of all profiles that are not partial, shown or not, in their order. */
    public Map<String, Roster> allRosters() {
        return rosters(profiles);
    }

    private Map<String, Roster> rosters(List<ProfileVerdict> some) {
        Map<String, Roster> rosters = new LinkedHashMap<>();
        some.stream()
                .filter(profile -> !profile.isPartial())
                .forEach(profile -> rosters.put(profile.name(), roster(profile.name())));
        return rosters;
    }

    /**
     * Returns why each need of a profile receives what it does, in the order of its roster.
     *
     * @throws IllegalArgumentException if there is no such profile, or it is partial
     */
    public List<NeedExplanation> explain(String profile) {
        return explain(profile, row -> true);
    }

    /**
     * Returns why some needs of a profile receive what they do, in the order of its roster.
     *
     * @param wanted which rows of the roster
     * @throws IllegalArgumentException if there is no such profile, or it is partial
     */
    public List<NeedExplanation> explain(String profile, Predicate<RosterRow> wanted) {
        RequiredArgument.of(wanted, "wanted");
        return answers.explain(profile, wanted);
    }

    /**
     * Returns what a profile is made of, what each of its words decides, and the rules in force.
     *
     * @param profile any profile, partial ones too
     * @throws IllegalArgumentException if there is no such profile
     */
    public ProfileExplanation explainProfile(String profile) {
        return answers.explainProfile(profile);
    }

    /**
     * Returns how the objects of a profile are made. For our own modules.
     *
     * @throws IncompleteProfileException if it is not complete, with all that is wrong
     * @throws IllegalArgumentException if there is no such profile, or it is partial
     */
    public Assembly assembly(String profile) {
        requireComplete(profile);
        return answers.assembly(profile);
    }

    /** Returns how real each of the profiles is, from the desk to the real thing. */
    public Coverage coverage() {
        return CoverageMaker.of(this, set.declared(), code.whole());
    }

    /**
     * Returns this verdict with some profiles alone, in the order of the file, and with those of
     * their partial parents in which something is wrong.
     */
    public Verdict only(Collection<String> wantedNames) {
        RequiredArgument.of(wantedNames, "wantedNames");
        wantedNames.forEach(this::find);
        Set<String> names = Set.copyOf(wantedNames);
        BitSet lineages = new BitSet();
        names.forEach(name -> lineages.or(set.side().lineage(answers.number(name))));
        List<ProfileVerdict> some = new ArrayList<>();
        for (int i = 0; i < profiles.size(); i++) {
            ProfileVerdict profile = profiles.get(i);
            boolean atFault =
                    profile.isPartial() && !profile.findings().isEmpty() && lineages.get(i);
            if (atFault || names.contains(profile.name())) {
                some.add(profile);
            }
        }
        return new Verdict(
                sides,
                answers,
                code,
                classesRead,
                this.names,
                findings,
                suppressed,
                profiles,
                some,
                faults);
    }

    /**
     * Returns this verdict after profiles were really built, with what was found then; severities
     * and suppressions of the set hold for it.
     *
     * @param found by the names of the profiles that were built
     * @param today the day that {@code until} is compared with
     */
    public Verdict afterBuilding(Map<String, List<Finding>> found, LocalDate today) {
        RequiredArgument.of(found, "found");
        RequiredArgument.of(today, "today");
        return with(found, FindingKinds.BUILD_FAILED, today);
    }

    /**
     * Returns this verdict with what is not as it was accepted; severities and suppressions of the
     * set hold for it.
     *
     * @param accepted the roster that people have accepted
     * @param today the day that {@code until} is compared with
     */
    public Verdict against(AcceptedRoster accepted, LocalDate today) {
        RequiredArgument.of(accepted, "accepted");
        RequiredArgument.of(today, "today");
        List<String> names =
                profiles.stream()
                        .filter(profile -> !profile.isPartial())
                        .map(ProfileVerdict::name)
                        .toList();
        return with(
                AcceptanceCheck.findings(this, accepted),
                AcceptanceCheck.ofSet(names, accepted),
                FindingKinds.ROSTER_CHANGED,
                today);
    }

    /**
     * Returns this verdict with findings of a kind that is told only where somebody asks for it;
     * severities and suppressions of the set hold for them.
     *
     * @param found by the names of the profiles that were looked at
     * @param kind their kind
     * @param today the day that {@code until} is compared with
     */
    public Verdict with(Map<String, List<Finding>> found, FindingKind kind, LocalDate today) {
        return with(found, List.of(), kind, today);
    }

    private Verdict with(
            Map<String, List<Finding>> found,
            List<Finding> ofSet,
            FindingKind kind,
            LocalDate today) {
        RequiredArgument.of(found, "found");
        RequiredArgument.of(kind, "kind");
        RequiredArgument.of(today, "today");
        LaterFindings later =
                new LaterFindings(
                        found, kind, new SuppressionFilter(set.declared().strictness(), today));
        List<ProfileVerdict> all = later.in(profiles);
        List<ProfileVerdict> some = later.in(shown);
        SuppressionFilter.FilteredFindings more = later.ofSet(ofSet, all);
        List<Finding> told = new ArrayList<>(findings);
        told.addAll(more.reported());
        told.sort(Finding.ORDER);
        List<SuppressedFinding> silent = new ArrayList<>(suppressed);
        silent.addAll(more.suppressed());
        return new Verdict(
                sides, answers, code, classesRead, names, told, silent, all, some, faults);
    }

    /** Returns whether a class of that binary name is in the code that was read. */
    public boolean knows(String binaryName) {
        RequiredArgument.of(binaryName, "binaryName");
        return code.whole().inCode(binaryName);
    }

    /** Returns whether a class of that binary name is in the code, and open to every package. */
    public boolean isPublic(String binaryName) {
        return knows(binaryName)
                && code.whole()
                        .find(binaryName)
                        .filter(facts -> Modifier.isPublic(facts.access()))
                        .isPresent();
    }

    /**
     * Returns a class name as people read it: short, unless two classes of the code share the short
     * name.
     */
    @Override
    public String shortName(String binaryName) {
        RequiredArgument.of(binaryName, "binaryName");
        return names.shortName(binaryName);
    }

    private ProfileVerdict find(String profile) {
        return profiles.get(answers.number(profile));
    }
}
