package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.testing.JavaCode;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Java and a profile file, side by side in a test. The Java stands in package {@code p}; the file
 * may leave out its first lines. A mark {@code # <- id} says which finding is told on its line; all
 * other lines must stay clean.
 */
final class Situation {

    /** The day on which all this is checked. */
    static final LocalDate TODAY = LocalDate.of(2026, 11, 25);

    private static final String HEAD = "patient-harbor: 1\npackages: [p]\n";

    private final String text;
    private final Verdict verdict;

    private Situation(String text, Verdict verdict) {
        this.text = text;
        this.verdict = verdict;
    }

    static Situation of(String java, String yaml) {
        return of(JavaCode.compile("package p;\n" + java), yaml);
    }

    static Situation of(Path classes, String yaml) {
        String text = HEAD + yaml;
        ProfileSet set =
                ProfileFiles.parse(text.getBytes(StandardCharsets.UTF_8), "f", Path.of(""));
        return new Situation(text, set.withCode(classes).check(TODAY));
    }

    Verdict verdict() {
        return verdict;
    }

    /** Compares what is told, and where, with the marks of the file. */
    Situation tellsWhatIsMarked() {
        TreeSet<String> marked = new TreeSet<>();
        List<String> lines = text.lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            int mark = lines.get(i).indexOf("# <- ");
            if (mark >= 0) {
                for (String id : lines.get(i).substring(mark + 5).split(", ")) {
                    marked.add((i + 1) + " " + id.strip());
                }
            }
        }
        assertEquals(marked, told());
        return this;
    }

    /** Each error and warning as line and id, or class and id. */
    TreeSet<String> told() {
        return places(finding -> finding.severity() != Severity.NOTE);
    }

    /** Each note in the same way. */
    TreeSet<String> noted() {
        return places(finding -> finding.severity() == Severity.NOTE);
    }

    private TreeSet<String> places(Predicate<Finding> wanted) {
        return verdict.allFindings().stream()
                .filter(wanted)
                .map(
                        finding ->
                                finding.at()
                                                .match(
                                                        in -> "" + in.line(),
                                                        in -> in.className(),
                                                        in -> in.text())
                                        + " "
                                        + finding.kind().id())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** The one finding of that id. */
    Finding finding(String id) {
        List<Finding> found =
                verdict.allFindings().stream()
                        .filter(finding -> finding.kind().id().equals(id))
                        .toList();
        assertEquals(1, found.size(), () -> id + " among " + told());
        return found.get(0);
    }

    /** A fact of the one finding of that id. */
    String detail(String id, String label) {
        return finding(id).details().stream()
                .filter(detail -> detail.label().equals(label))
                .map(detail -> detail.text())
                .collect(Collectors.joining());
    }

    /** What a need receives in the profile, as {@code Outer > Inner > real Core}. */
    String received(String profile, String consumerAndNeed) {
        return describe(row(profile, consumerAndNeed).answer());
    }

    /** The lifetime of it, and what said so. */
    String lifetime(String profile, String consumerAndNeed) {
        return row(profile, consumerAndNeed)
                .answer()
                .lifetime()
                .map(choice -> choice.lifetime().word() + " " + choice.by().words())
                .orElse("none");
    }

    /** The members of a collection: their classes, or all that is around them too. */
    List<String> members(String profile, String consumerAndNeed) {
        return row(profile, consumerAndNeed).answer().elements().stream()
                .map(element -> describe(element.answer()))
                .map(text -> text.replaceFirst("^(real|factory) ", ""))
                .toList();
    }

    /** The label of the instance. */
    String instance(String profile, String consumerAndNeed) {
        return row(profile, consumerAndNeed).answer().instance().orElse("none");
    }

    RosterRow row(String profile, String consumerAndNeed) {
        List<RosterRow> rows =
                verdict.roster(profile).rows().stream()
                        .filter(
                                row ->
                                        (verdict.shortName(row.consumer()) + "." + row.need())
                                                .equals(consumerAndNeed))
                        .toList();
        assertEquals(1, rows.size(), () -> consumerAndNeed + " among " + all(profile));
        return rows.get(0);
    }

    /** Every row of a profile in one line each. */
    List<String> all(String profile) {
        return verdict.roster(profile).rows().stream()
                .map(
                        row ->
                                verdict.shortName(row.consumer())
                                        + "."
                                        + row.need()
                                        + ": "
                                        + row.slot().text(verdict::shortName)
                                        + " = "
                                        + describe(row.answer()))
                .toList();
    }

    private String describe(Answer answer) {
        return answer.decorators().stream()
                        .map(name -> verdict.shortName(name) + " > ")
                        .collect(Collectors.joining())
                + answer.kind().word()
                + answer.implementation().map(name -> " " + verdict.shortName(name)).orElse("");
    }
}
