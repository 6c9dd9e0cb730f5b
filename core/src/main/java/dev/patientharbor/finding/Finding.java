package dev.patientharbor.finding;

import dev.patientharbor.texts.NameList;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * One thing that is wrong, or worth knowing.
 *
 * @param kind what kind of finding it is
 * @param severity how grave it is: as its kind, unless the user or the case says otherwise
 * @param at where it stands
 * @param cause what it is about, without positions: equal id, place and cause is the same finding,
 *     in whatever profile
 * @param subjects what it is about: slots, classes and other names, by which it can be suppressed
 * @param message one sentence on what is wrong, ending with a full stop
 * @param details what was looked at, what is near, and at the end what to do
 * @param consumers the classes with the failing need itself, binary names, sorted
 * @param entries the entry consumers that cannot be whole because of it, binary names, sorted
 */
public record Finding(
        FindingKind kind,
        Severity severity,
        SourcePosition at,
        String cause,
        List<String> subjects,
        String message,
        List<FindingDetail> details,
        List<String> consumers,
        List<String> entries) {

    /** Sorts findings by place, then by id, then by cause. */
    public static final Comparator<Finding> ORDER =
            Comparator.comparing(Finding::at)
                    .thenComparing(finding -> finding.kind().id())
                    .thenComparing(Finding::cause);

    public Finding {
        RequiredArgument.of(kind, "kind");
        RequiredArgument.of(severity, "severity");
        RequiredArgument.of(at, "at");
        RequiredArgument.of(cause, "cause");
        RequiredArgument.of(subjects, "subjects");
        RequiredArgument.of(message, "message");
        RequiredArgument.of(details, "details");
        RequiredArgument.of(consumers, "consumers");
        RequiredArgument.of(entries, "entries");
        subjects = List.copyOf(subjects);
        details = List.copyOf(details);
        consumers = List.copyOf(consumers);
        entries = List.copyOf(entries);
    }

    /** Makes a finding about one thing, that touches no consumer. */
    public static Finding of(FindingKind kind, SourcePosition at, String cause, String message) {
        return of(kind, at, List.of(RequiredArgument.of(cause, "cause")), message);
    }

    /** Makes a finding about several things. */
    public static Finding of(
            FindingKind kind, SourcePosition at, List<String> subjects, String message) {
        RequiredArgument.of(kind, "kind");
        RequiredArgument.of(subjects, "subjects");
        return new Finding(
                kind,
                kind.severity(),
                at,
                String.join(" ", subjects),
                subjects,
                message,
                List.of(),
                List.of(),
                List.of());
    }

    /** Returns this finding about other things; its cause stays the same. */
    public Finding about(List<String> others) {
        return new Finding(kind, severity, at, cause, others, message, details, consumers, entries);
    }

    /** Returns this finding with one more fact. */
    public Finding with(String label, String text) {
        return with(label, List.of(RequiredArgument.of(text, "text")));
    }

    /** Returns this finding with one more fact of several lines. */
    public Finding with(String label, List<String> lines) {
        List<FindingDetail> more = new ArrayList<>(details);
        more.add(new FindingDetail(label, lines));
        return new Finding(kind, severity, at, cause, subjects, message, more, consumers, entries);
    }

    /**
     * Returns this finding with one more fact if there is any text for it; of very many texts it
     * has the first, and how many more there are.
     */
    public Finding withAny(String label, List<String> texts) {
        RequiredArgument.of(label, "label");
        RequiredArgument.of(texts, "texts");
        return texts.isEmpty() ? this : with(label, NameList.of(texts));
    }

    /** Returns this finding as a note: it is worth knowing, and nothing is wrong. */
    public Finding asNote() {
        return as(Severity.NOTE);
    }

    /** Returns this finding with another severity. */
    public Finding as(Severity severity) {
        return new Finding(
                kind, severity, at, cause, subjects, message, details, consumers, entries);
    }

    /** Returns this finding with the consumers that it touches. */
    public Finding touching(List<String> consumers, List<String> entries) {
        RequiredArgument.of(consumers, "consumers");
        RequiredArgument.of(entries, "entries");
        return new Finding(
                kind, severity, at, cause, subjects, message, details, consumers, entries);
    }

    /**
     * Returns this finding with the consumers that another finding of the same identity touches as
     * well.
     */
    public Finding joinedWith(Finding other) {
        RequiredArgument.of(other, "other");
        return touching(both(consumers, other.consumers), both(entries, other.entries));
    }

    private static List<String> both(List<String> one, List<String> other) {
        return Stream.concat(one.stream(), other.stream()).distinct().sorted().toList();
    }

    /**
     * Returns a text that is equal for findings that are reported as one, whichever profiles meet
     * them.
     */
    public String identity() {
        return kind.id() + ' ' + at.text() + ' ' + cause;
    }
}
