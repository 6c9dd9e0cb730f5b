package dev.patientharbor.notation;

import static java.nio.charset.StandardCharsets.UTF_8;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
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
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
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
    private static final String TO_FILL = "to-fill";
    private static final String MAY_BE_EMPTY = "may-be-empty";
    private static final Pattern EMPTY = Pattern.compile(MAY_BE_EMPTY + ": \\[([^]]*)\\]");

    private final List<String> code;
    private final Path folder;
    private final Survey survey;
    private final List<String> entries;
    private final List<String> packages;

    /** What is bound, by slot, in the order in which the check missed it. */
    private final Map<String, Choice> choices = new LinkedHashMap<>();

    /** What collections may have no member, for the code has none. */
    private final Set<String> mayBeEmpty = new TreeSet<>();

    /** The slots as the file writes them, by their whole text. */
    private final Map<String, String> written = new HashMap<>();

    /** Why a slot is a mock in the tests. */
    private final Map<String, String> mocks = new TreeMap<>();

    /** The classes that could fill a slot, which of them is bound, and why no earlier one is. */
    private static final class Choice {
        private final List<String> candidates;
        private final List<String> refused = new ArrayList<>();
        private int chosen;

        Choice(List<String> candidates) {
            this.candidates = candidates;
        }

        boolean isToFill() {
            return chosen >= candidates.size();
        }

        String supply() {
            return isToFill() ? TO_FILL : candidates.get(chosen);
        }

        void refuse(String why) {
            if (!why.isEmpty()) {
                refused.add(
                        why.startsWith("with: ")
                                ? "{ class: " + candidates.get(chosen) + ", " + why + " }"
                                : candidates.get(chosen) + ": " + why);
            }
            chosen++;
        }

        String[] comments() {
            List<String> lines = new ArrayList<>();
            if (isToFill()) {
                lines.add(
                        candidates.isEmpty()
                                ? "no class of the code stands behind it"
                                : "say which, and how it is made");
                lines.addAll(refused);
            } else if (candidates.size() > 1) {
                List<String> others = new ArrayList<>(candidates);
                others.remove(chosen);
                lines.add("chosen; there are also " + String.join(", ", others));
            }
            return lines.toArray(String[]::new);
        }
    }

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
        addMocks(verdict);
        verdict = check();
        if (mocks.keySet().removeIf(refusedMocks(verdict)::contains)) {
            verdict = check();
        }
        return new ProfileDraft(
                text(),
                choices.entrySet().stream()
                        .filter(choice -> choice.getValue().isToFill())
                        .map(Map.Entry::getKey)
                        .toList(),
                remarks(verdict));
    }

    private Verdict check() {
        return set().check(LocalDate.EPOCH);
    }

    private ProfileSet set() {
        return ProfileFiles.parse(text().getBytes(UTF_8), NAME, folder);
    }

    /** Changes what the errors of the main profile ask for; returns whether anything changed. */
    private boolean mend(Verdict verdict) {
        Map<Integer, String> lines = DraftYaml.lines(text(), "profiles", MAIN, "bindings");
        boolean changed = false;
        for (Finding finding : profile(verdict, MAIN).findings()) {
            if (finding.severity() == Severity.ERROR) {
                changed |= mend(finding, lines);
            }
        }
        return changed;
    }

    private boolean mend(Finding finding, Map<Integer, String> lines) {
        boolean isMissing =
                finding.kind() == FindingKinds.UNMET_NEED
                        || finding.kind() == FindingKinds.EMPTY_COLLECTION;
        if (finding.kind() == FindingKinds.EMPTY_COLLECTION && candidates(finding).isEmpty()) {
            return mayBeEmpty.addAll(emptyCollections(finding));
        }
        if (isMissing) {
            String slot = writtenSlot(finding);
            written.put(finding.subjects().get(0), slot);
            return choices.putIfAbsent(slot, new Choice(candidates(finding))) == null;
        }
        Optional<Choice> bound =
                line(finding).map(lines::get).map(choices::get).filter(each -> !each.isToFill());
        bound.ifPresent(choice -> choice.refuse(why(finding)));
        return bound.isPresent();
    }

    /** The slot as the line has it that the finding proposes. */
    private static String writtenSlot(Finding finding) {
        return detail(finding, "write").stream()
                .filter(line -> line.contains(": "))
                .map(line -> line.substring(0, line.indexOf(": ")))
                .filter(slot -> !slot.equals(MAY_BE_EMPTY))
                .findFirst()
                .orElse(finding.subjects().get(0));
    }

    private static List<String> candidates(Finding finding) {
        return detail(finding, "in the code").stream()
                .flatMap(line -> Arrays.stream(line.split(", ")))
                .map(name -> name.replaceFirst(" and \\d+ more$", ""))
                .filter(name -> name.matches("[\\w.$]+"))
                .toList();
    }

    /** The collections that the finding proposes to allow to be empty. */
    private static List<String> emptyCollections(Finding finding) {
        return detail(finding, "write").stream()
                .flatMap(line -> EMPTY.matcher(line).results())
                .flatMap(found -> Arrays.stream(found.group(1).split(", ")))
                .toList();
    }

    /** Why a class cannot stand there: the line that is missing, or what is wrong; else blank. */
    private static String why(Finding finding) {
        if (finding.kind() == FindingKinds.UNKNOWN_CLASS) {
            return "";
        }
        return finding.kind() == FindingKinds.VALUE_MISSING
                ? detail(finding, "write").stream()
                        .map(line -> line.split(" {2,}")[0])
                        .collect(Collectors.joining(", "))
                : finding.message();
    }

    private static List<String> detail(Finding finding, String label) {
        return finding.details().stream()
                .filter(detail -> detail.label().equals(label))
                .flatMap(detail -> detail.lines().stream())
                .toList();
    }

    private static Optional<Integer> line(Finding finding) {
        return finding.at()
                .match(
                        in -> Optional.of(in.line()),
                        in -> Optional.empty(),
                        in -> Optional.empty());
    }

    /** In the tests, what reaches outside is a mock, and so is what nobody has chosen yet. */
    private void addMocks(Verdict verdict) {
        choices.forEach(
                (slot, choice) -> {
                    if (choice.isToFill()) {
                        mocks.put(slot, "nothing is chosen for it yet");
                    }
                });
        for (RosterRow row : verdict.roster(MAIN).rows()) {
            Answer answer = row.answer();
            String slot = written.getOrDefault(row.slot().text(), "");
            List<Touch> touches = answer.implementation().map(survey::touchesOf).orElse(List.of());
            if (!touches.isEmpty() && choices.containsKey(slot)) {
                mocks.put(slot, because(verdict, answer.implementation().get(), touches));
            }
        }
    }

    private static String because(Verdict verdict, String name, List<Touch> touches) {
        return verdict.shortName(name)
                + " touches "
                + touches.stream()
                        .map(touch -> touch.kind().phrase())
                        .collect(Collectors.joining(", "));
    }

    private List<String> refusedMocks(Verdict verdict) {
        Map<Integer, String> lines = DraftYaml.lines(text(), "profiles", TEST, "bindings");
        List<String> refused = new ArrayList<>();
        List<Finding> all = new ArrayList<>(profile(verdict, TEST).findings());
        for (Finding finding : all) {
            if (finding.severity() == Severity.ERROR) {
                line(finding).map(lines::get).ifPresent(refused::add);
            }
        }
        return refused;
    }

    private static ProfileVerdict profile(Verdict verdict, String name) {
        return verdict.profiles().stream()
                .filter(each -> each.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** What is wrong beside that something is to be filled. */
    private List<String> remarks(Verdict verdict) {
        List<String> remarks = new ArrayList<>();
        verdict.allFindings().stream()
                .filter(finding -> finding.severity() == Severity.ERROR)
                .filter(finding -> !isToFill(finding))
                .map(Finding::message)
                .distinct()
                .forEach(remarks::add);
        return remarks;
    }

    private boolean isToFill(Finding finding) {
        return finding.kind() == FindingKinds.UNMET_NEED
                && Optional.ofNullable(written.get(finding.subjects().get(0)))
                        .map(choices::get)
                        .filter(Choice::isToFill)
                        .isPresent();
    }

    private String text() {
        DraftYaml bindings = new DraftYaml();
        choices.forEach((slot, choice) -> bindings.text(slot, choice.supply(), choice.comments()));
        DraftYaml mocked = new DraftYaml();
        mocks.forEach(
                (slot, because) ->
                        mocked.inline(
                                slot,
                                new DraftYaml().text("mock", "true").text("because", because)));
        DraftYaml main = new DraftYaml().block("bindings", bindings);
        DraftYaml test = new DraftYaml().text("extends", MAIN).block("bindings", mocked);
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
        if (!mayBeEmpty.isEmpty()) {
            file.list(
                    MAY_BE_EMPTY,
                    List.copyOf(mayBeEmpty),
                    "no class of the code stands behind these");
        }
        return file.block(
                        "profiles",
                        new DraftYaml()
                                .block(MAIN, main, "what the code has")
                                .block(TEST, test, "the same, with mocks of what reaches outside"),
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
