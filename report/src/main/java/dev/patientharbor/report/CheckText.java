package dev.patientharbor.report;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.SuppressedFinding;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingDetail;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.StringJoiner;

/** Writes the verdict for people: a line for each profile, then each cause once. */
public final class CheckText {

    private static final int LABEL = 4;
    private static final int TEXT = 18;

    /** The most profiles that are listed by their names. */
    private static final int MANY = 5;

    private final Verdict verdict;
    private final TextPage page;

    private CheckText(Verdict verdict, TextLayout layout) {
        this.verdict = verdict;
        page = new TextPage(layout);
    }

    /** The whole text; every line ends with {@code \n}. */
    public static String render(Verdict verdict, TextLayout layout) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(layout, "layout");
        return new CheckText(verdict, layout).render();
    }

    private String render() {
        page.line(0)
                .put(TextTone.TITLE, verdict.title())
                .put(
                        "· "
                                + ReportWording.count(verdict.profiles().size(), "profile")
                                + " · "
                                + ReportWording.count(verdict.entryConsumers(), "entry consumer")
                                + " · "
                                + verdict.classesRead()
                                + " of "
                                + verdict.classesThere()
                                + " classes read")
                .end();
        if (!verdict.profiles().isEmpty()) {
            page.blank();
        }
        int names = widest(verdict.profiles().stream().map(ProfileVerdict::name).toList());
        verdict.profiles().forEach(profile -> line(profile, names + 4));
        List<Once> causes = causes();
        String above = "";
        for (Once cause : causes) {
            String heading = heading(cause.profiles());
            if (!heading.equals(above)) {
                page.blank().line(0).put(TextTone.TITLE, heading).end();
                above = heading;
            } else if (!cause.isNote()) {
                page.blank();
            }
            finding(cause.finding());
        }
        int suppressed = suppressed();
        page.blank().line(0).put(summary(causes, suppressed)).end();
        return page.toString();
    }

    private void line(ProfileVerdict profile, int column) {
        TextPage.Line line = page.line(2).put(profile.name()).tab(column);
        if (profile.isPartial()) {
            String found = counts(profile);
            line.put(TextTone.QUIET, "partial").tab(column + 12).put(TextTone.BAD, found).end();
            return;
        }
        boolean complete = profile.complete().orElseThrow();
        line.put(complete ? TextTone.GOOD : TextTone.BAD, complete ? "complete" : "INCOMPLETE")
                .tab(column + 12)
                .put(needs(profile, complete))
                .tab(column + 28);
        StringJoiner kinds = new StringJoiner(" · ");
        profile.answers()
                .forEach(
                        (kind, number) -> {
                            if (kind != AnswerKind.UNMET) {
                                kinds.add(kind.word() + " " + number);
                            }
                        });
        line.put(kinds.toString()).end();
        if (!counts(profile).isEmpty()) {
            page.line(column + 12).put(tone(profile, complete), counts(profile)).end();
        }
    }

    /** How many needs are met; of a profile that lacks none and is not complete, that in a word. */
    private static String needs(ProfileVerdict profile, boolean complete) {
        return !complete && profile.needs() > 0 && profile.met() == profile.needs()
                ? "all needs met"
                : profile.met() + " of " + profile.needs();
    }

    /** What is not reported, each once, with the reason why. */
    private int suppressed() {
        Map<String, SuppressedFinding> once = new LinkedHashMap<>();
        Map<String, List<String>> profiles = new HashMap<>();
        verdict.suppressed()
                .forEach(suppressed -> once.put(suppressed.finding().identity(), suppressed));
        for (ProfileVerdict profile : verdict.profiles()) {
            for (SuppressedFinding one : profile.suppressed()) {
                once.putIfAbsent(one.finding().identity(), one);
                profiles.computeIfAbsent(one.finding().identity(), id -> new ArrayList<>())
                        .add(profile.name());
            }
        }
        if (!once.isEmpty()) {
            page.blank().line(0).put(TextTone.TITLE, "suppressed").end();
        }
        for (SuppressedFinding one : once.values()) {
            head(one.finding(), TextTone.QUIET);
            Grounds grounds = one.by().grounds();
            List<String> in = profiles.getOrDefault(one.finding().identity(), List.of());
            if (!in.isEmpty()) {
                page.labelled(LABEL, "in", TEXT, String.join(", ", in));
            }
            page.labelled(LABEL, "because", TEXT, grounds.because().orElseThrow());
            grounds.owner().ifPresent(owner -> page.labelled(LABEL, "owner", TEXT, owner));
            grounds.until().ifPresent(day -> page.labelled(LABEL, "until", TEXT, day.toString()));
        }
        return once.size();
    }

    private static TextTone tone(ProfileVerdict profile, boolean complete) {
        boolean notesAlone =
                profile.findings().stream()
                        .allMatch(finding -> finding.severity() == Severity.NOTE);
        return notesAlone ? TextTone.QUIET : complete ? TextTone.CAREFUL : TextTone.BAD;
    }

    /** What a finding that concerns no profile alone is about. */
    private static String ofNoProfile(Finding finding) {
        return finding.at()
                .match(in -> "the file as a whole", in -> "the code", in -> "the set as a whole");
    }

    /** One cause, and the profiles that meet it. */
    private record Once(Finding finding, List<String> profiles) {
        boolean isNote() {
            return finding.severity() == Severity.NOTE;
        }
    }

    private List<Once> causes() {
        Map<String, Once> causes = new LinkedHashMap<>();
        verdict.findings()
                .forEach(
                        finding ->
                                causes.put(
                                        finding.identity(),
                                        new Once(finding, List.of(ofNoProfile(finding)))));
        for (ProfileVerdict profile : verdict.profiles()) {
            for (Finding finding : profile.findings()) {
                causes.computeIfAbsent(
                                finding.identity(), id -> new Once(finding, new ArrayList<>()))
                        .profiles()
                        .add(profile.name());
            }
        }
        // Those of the same profiles together, in the order in which the first of them comes;
        // notes after all that is wrong.
        List<Once> all = new ArrayList<>(together(causes.values(), false));
        all.addAll(together(causes.values(), true));
        return all;
    }

    /** The profiles by name; if they are almost all of many, by those that are not among them. */
    private String heading(List<String> profiles) {
        List<String> others = new ArrayList<>();
        if (profiles.size() > MANY) {
            Set<String> named = new HashSet<>(profiles);
            verdict.profiles().stream()
                    .filter(verdict -> !verdict.isPartial() && !named.contains(verdict.name()))
                    .forEach(verdict -> others.add(verdict.name()));
        }
        if (profiles.size() <= MANY || others.size() > 2) {
            return String.join(", ", profiles);
        }
        return "every profile" + (others.isEmpty() ? "" : " but " + String.join(", ", others));
    }

    private static List<Once> together(Collection<Once> causes, boolean notes) {
        Map<List<String>, List<Once>> together = new LinkedHashMap<>();
        for (Once cause : causes) {
            if (cause.isNote() == notes) {
                together.computeIfAbsent(cause.profiles(), same -> new ArrayList<>()).add(cause);
            }
        }
        return together.values().stream().flatMap(List::stream).toList();
    }

    private void finding(Finding finding) {
        Severity severity = finding.severity();
        head(finding, tone(severity));
        if (severity == Severity.NOTE) {
            return; // nothing is wrong: in a word is enough
        }
        List<String> consumers = finding.consumers();
        List<FindingDetail> details = new ArrayList<>();
        if (consumers.size() > 1) {
            details.add(
                    new FindingDetail(
                            "asked by", List.of(ReportWording.someClasses(verdict, consumers))));
        }
        if (!finding.entries().isEmpty() && !finding.entries().equals(consumers)) {
            details.add(
                    new FindingDetail(
                            "not whole",
                            List.of(ReportWording.someClasses(verdict, finding.entries()))));
        }
        for (FindingDetail detail : finding.details()) {
            if (detail.label().equals("write") || detail.label().equals("do")) {
                details.forEach(shown -> page.labelled(LABEL, shown.label(), TEXT, shown.lines()));
                details.clear();
            }
            page.labelled(LABEL, detail.label(), TEXT, detail.lines());
        }
        details.forEach(detail -> page.labelled(LABEL, detail.label(), TEXT, detail.lines()));
    }

    private void head(Finding finding, TextTone tone) {
        page.line(2)
                .put(tone, finding.severity().word())
                .put(TextTone.TITLE, finding.kind().id())
                .put("·")
                .put(TextTone.QUIET, finding.at().text())
                .end();
        page.line(LABEL).put(finding.message()).end();
    }

    private String summary(List<Once> causes, int suppressed) {
        long incomplete =
                verdict.profiles().stream()
                        .filter(verdict -> verdict.complete().filter(whole -> !whole).isPresent())
                        .count();
        long checked = verdict.profiles().stream().filter(verdict -> !verdict.isPartial()).count();
        String findings = counts(causes.stream().map(Once::finding).toList(), suppressed);
        String profiles =
                checked == 0
                        ? "No profile was checked"
                        : incomplete == 0
                                ? all(checked) + " complete"
                                : incomplete
                                        + " of "
                                        + ReportWording.count(checked, "profile")
                                        + (incomplete == 1 ? " is" : " are")
                                        + " not complete";
        return profiles + (findings.isEmpty() ? "." : ": " + findings + ".") + built();
    }

    /** How the build went, if one was asked for. */
    private String built() {
        List<Boolean> built =
                verdict.profiles().stream().flatMap(verdict -> verdict.built().stream()).toList();
        long whole = built.stream().filter(value -> value).count();
        return built.isEmpty()
                ? ""
                : " Built "
                        + whole
                        + " of "
                        + ReportWording.count(built.size(), "complete profile")
                        + ".";
    }

    private static String all(long checked) {
        return checked == 1
                ? "The profile is"
                : checked == 2 ? "Both profiles are" : "All " + checked + " profiles are";
    }

    private static String counts(ProfileVerdict profile) {
        return counts(profile.findings(), profile.suppressed().size());
    }

    private static String counts(List<Finding> findings, int suppressed) {
        StringJoiner counts = new StringJoiner(", ");
        for (Severity severity : List.of(Severity.ERROR, Severity.WARNING, Severity.NOTE)) {
            long number =
                    findings.stream().filter(finding -> finding.severity() == severity).count();
            if (number > 0) {
                counts.add(ReportWording.count(number, severity.word()));
            }
        }
        if (suppressed > 0) {
            counts.add(suppressed + " suppressed");
        }
        return counts.toString();
    }

    private static TextTone tone(Severity severity) {
        return switch (severity) {
            case ERROR -> TextTone.BAD;
            case WARNING -> TextTone.CAREFUL;
            case NOTE -> TextTone.QUIET;
        };
    }

    static int widest(Collection<String> texts) {
        return texts.stream().mapToInt(TextPage::width).max().orElse(0);
    }
}
