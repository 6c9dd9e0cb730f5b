package dev.patientharbor.report;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
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
        List<FindingOnce> causes = FindingOnce.reported(verdict);
        String above = "";
        for (FindingOnce cause : causes) {
            String heading =
                    cause.profiles().isEmpty()
                            ? ofNoProfile(cause.finding())
                            : heading(cause.profiles());
            if (!heading.equals(above)) {
                page.blank().line(0).put(TextTone.TITLE, heading).end();
                above = heading;
            } else if (!cause.isNote()) {
                page.blank();
            }
            finding(cause.finding());
        }
        suppressed();
        page.blank().line(0).put(CheckSummary.of(verdict)).end();
        return page.toString();
    }

    private void line(ProfileVerdict profile, int column) {
        TextPage.Line line = page.line(2).put(profile.name()).tab(column);
        if (profile.isPartial()) {
            String found = CheckSummary.counts(profile);
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
        if (!CheckSummary.counts(profile).isEmpty()) {
            page.line(column + 12).put(tone(profile, complete), CheckSummary.counts(profile)).end();
        }
    }

    /** How many needs are met; of a profile that lacks none and is not complete, that in a word. */
    private static String needs(ProfileVerdict profile, boolean complete) {
        return !complete && profile.needs() > 0 && profile.met() == profile.needs()
                ? "all needs met"
                : profile.met() + " of " + profile.needs();
    }

    /** What is not reported, each once, with the reason why. */
    private void suppressed() {
        List<FindingOnce> all = FindingOnce.suppressed(verdict);
        if (!all.isEmpty()) {
            page.blank().line(0).put(TextTone.TITLE, "suppressed").end();
        }
        for (FindingOnce one : all) {
            head(one.finding(), TextTone.QUIET);
            Grounds grounds = one.by().orElseThrow().grounds();
            if (!one.profiles().isEmpty()) {
                page.labelled(LABEL, "in", TEXT, String.join(", ", one.profiles()));
            }
            page.labelled(LABEL, "because", TEXT, grounds.because().orElseThrow());
            grounds.owner().ifPresent(owner -> page.labelled(LABEL, "owner", TEXT, owner));
            grounds.until().ifPresent(day -> page.labelled(LABEL, "until", TEXT, day.toString()));
        }
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

    private void finding(Finding finding) {
        Severity severity = finding.severity();
        head(finding, tone(severity));
        if (severity == Severity.NOTE) {
            return; // nothing is wrong: in a word is enough
        }
        FindingMessage.facts(verdict, finding)
                .forEach(fact -> page.labelled(LABEL, fact.label(), TEXT, fact.lines()));
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
