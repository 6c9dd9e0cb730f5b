package dev.patientharbor.notation;

import static java.nio.charset.StandardCharsets.UTF_8;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.survey.Survey;
import dev.patientharbor.survey.SurveyedContract;
import dev.patientharbor.survey.Touch;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Drafts by asking the check: what it misses is bound to a class that it names, and what cannot
 * stand is bound to the next one, until nothing changes.
 */
final class DraftLoop {

    private static final String NAME = "draft";
    private static final String MAIN = "main";
    private static final String TEST = "test";
    private static final String MAY_BE_EMPTY = "may-be-empty";

    private final List<String> code;
    private final Path folder;
    private final Survey survey;
    private final List<String> entries;
    private final List<String> packages;

    private final DraftChoices choices = new DraftChoices();

    /** What stands in in the tests, by slot. */
    private final Map<String, DraftStandIn> standIns = new TreeMap<>();

    DraftLoop(List<String> code, Path folder, Survey survey, List<String> entries) {
        this.code = code;
        this.folder = folder;
        this.survey = survey;
        this.entries = entries;
        packages =
                reached(survey, entries).stream()
                        .map(DraftLoop::packageOf)
                        .filter(name -> !name.isEmpty())
                        .distinct()
                        .sorted()
                        .toList();
    }

    /** The entry consumers, what they ask for, what stands behind it, and so on. */
    private static Set<String> reached(Survey survey, List<String> entries) {
        Set<String> reached = new TreeSet<>(entries);
        boolean grows = true;
        while (grows) {
            grows = false;
            for (SurveyedContract contract : survey.contracts()) {
                if (contract.askedBy().stream().anyMatch(reached::contains)) {
                    grows |= reached.add(contract.name());
                    grows |= reached.addAll(contract.implementations());
                }
            }
        }
        return reached;
    }

    private static String packageOf(String name) {
        return name.substring(0, Math.max(0, name.lastIndexOf('.')));
    }

    ProfileDraft draft() {
        Verdict verdict = check();
        while (mend(verdict)) {
            verdict = check();
        }
        addStandIns(verdict);
        verdict = check();
        while (refuseStandIns(verdict)) {
            verdict = check();
        }
        return new ProfileDraft(text(), toFill(), choices.remarks(verdict.allFindings()));
    }

    /** The slots that are left to fill, in the code's profile or in that of the tests. */
    private List<String> toFill() {
        List<String> toFill = new ArrayList<>(choices.toFill());
        standIns.forEach(
                (slot, standIn) -> {
                    if (standIn.isToFill() && !toFill.contains(slot)) {
                        toFill.add(slot);
                    }
                });
        return toFill;
    }

    /** Changes what the errors of the main profile ask for; returns whether anything changed. */
    private boolean mend(Verdict verdict) {
        return choices.mend(
                profile(verdict, MAIN).findings(),
                DraftYaml.lines(text(), "profiles", MAIN, "bindings"));
    }

    private Verdict check() {
        return set().check(LocalDate.EPOCH);
    }

    private ProfileSet set() {
        return ProfileFiles.parse(text().getBytes(UTF_8), NAME, folder);
    }

    /** In the tests, what reaches outside is a mock, and so is what nobody has chosen yet. */
    private void addStandIns(Verdict verdict) {
        choices.choices()
                .forEach(
                        (slot, choice) -> {
                            if (choice.isToFill()) {
                                standIns.put(
                                        slot,
                                        new DraftStandIn(
                                                "nothing is chosen for it yet", List.of()));
                            }
                        });
        for (RosterRow row : verdict.roster(MAIN).rows()) {
            Answer answer = row.answer();
            String slot = choices.written(row.slot().text());
            List<Touch> touches = answer.implementation().map(survey::touchesOf).orElse(List.of());
            if (!touches.isEmpty() && choices.choices().containsKey(slot)) {
                String because = because(verdict, answer.implementation().get(), touches);
                List<String> others = choices.choices().get(slot).others();
                others.removeIf(name -> !touchesNothing(verdict, name));
                standIns.put(slot, new DraftStandIn(because, others));
            }
        }
    }

    /** Whether a class that a check names, in short or whole, is known to reach nothing. */
    private boolean touchesNothing(Verdict verdict, String written) {
        List<String> named =
                survey.contracts().stream()
                        .flatMap(contract -> contract.implementations().stream())
                        .filter(
                                name ->
                                        name.equals(written)
                                                || verdict.shortName(name).equals(written))
                        .distinct()
                        .toList();
        return named.size() == 1 && survey.touchesOf(named.get(0)).isEmpty();
    }

    private static String because(Verdict verdict, String name, List<Touch> touches) {
        return verdict.shortName(name)
                + " touches "
                + touches.stream()
                        .map(touch -> touch.kind().phrase())
                        .collect(Collectors.joining(", "));
    }

    /** Replaces the stand-ins that cannot stand there; returns whether anything changed. */
    private boolean refuseStandIns(Verdict verdict) {
        Map<Integer, String> lines = DraftYaml.lines(text(), "profiles", TEST, "bindings");
        Set<String> refused = new TreeSet<>();
        for (Finding finding : profile(verdict, TEST).findings()) {
            if (finding.severity() == Severity.ERROR) {
                DraftChoices.line(finding).map(lines::get).ifPresent(refused::add);
            }
        }
        boolean changed = false;
        for (String slot : refused) {
            changed |= standIns.containsKey(slot) && standIns.get(slot).refuse();
        }
        return changed;
    }

    private static ProfileVerdict profile(Verdict verdict, String name) {
        return verdict.profiles().stream()
                .filter(each -> each.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private String text() {
        DraftYaml bindings = new DraftYaml();
        choices.choices()
                .forEach((slot, choice) -> bindings.text(slot, choice.supply(), choice.comments()));
        DraftYaml replaced = new DraftYaml();
        standIns.forEach((slot, standIn) -> standIn.addTo(replaced, slot));
        DraftYaml main = new DraftYaml().block("bindings", bindings);
        DraftYaml test = new DraftYaml().text("extends", MAIN).block("bindings", replaced);
        DraftYaml file =
                new DraftYaml()
                        .text(
                                "patient-harbor",
                                "1",
                                "A draft: read it, choose what is to be filled, and check it.")
                        .text("title", "Draft")
                        .list("code", code)
                        .list("packages", packages, "where short names are looked up")
                        .list(
                                "entry",
                                shortNames(),
                                "who asks for something, and is asked for by nobody");
        if (!choices.mayBeEmpty().isEmpty()) {
            file.list(
                    MAY_BE_EMPTY,
                    List.copyOf(choices.mayBeEmpty()),
                    "no class of the code stands behind these");
        }
        return file.block(
                        "profiles",
                        new DraftYaml()
                                .block(MAIN, main, "what the code has")
                                .block(
                                        TEST,
                                        test,
                                        "the same, with stand-ins for what reaches outside"),
                        "")
                .text();
    }

    /** Short names where they are in one of the packages, and no other class has the same one. */
    private List<String> shortNames() {
        Map<String, Long> count =
                survey.contracts().stream()
                        .flatMap(
                                contract ->
                                        Stream.concat(
                                                contract.implementations().stream(),
                                                contract.askedBy().stream()))
                        .distinct()
                        .collect(Collectors.groupingBy(DraftLoop::last, Collectors.counting()));
        return entries.stream()
                .map(
                        name ->
                                count.getOrDefault(last(name), 0L) < 2 && name.indexOf('$') < 0
                                        ? last(name)
                                        : name)
                .toList();
    }

    private static String last(String name) {
        return name.substring(name.lastIndexOf('.') + 1);
    }
}
