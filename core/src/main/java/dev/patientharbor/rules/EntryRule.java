package dev.patientharbor.rules;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingDetail;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedEntry;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.model.EntryText;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.texts.NameSearch;
import java.util.List;
import java.util.TreeSet;

/**
 * Reports entries that name nothing, and sets in which there is nothing to check: that is no
 * success.
 */
final class EntryRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        List<ResolvedEntry> unknown =
                set.entries().stream().filter(entry -> entry.classes().isEmpty()).toList();
        if (!unknown.isEmpty()) {
            NameSearch packages = packages(set);
            unknown.forEach(entry -> reporter.report(finding(set, packages, entry)));
        }
        boolean unread = set.profiles().isEmpty() && set.entries().isEmpty();
        if (unread && reporter.hasReported(FindingKinds.MALFORMED_FILE)) {
            // The file could not be read at all: what is not in it is not known.
            return;
        }
        if (set.checked().isEmpty()) {
            reporter.report(
                    nothing(
                            set,
                            "profiles",
                            "There is no profile to check.",
                            "add a profile that is not partial under profiles"));
        }
        if (set.entries().isEmpty() && set.consumers().isEmpty()) {
            reporter.report(
                    nothing(
                            set,
                            "entry",
                            "There is no entry consumer to start from.",
                            "entry: [CLASS, PACKAGE.*]"));
        }
        boolean isBare =
                !set.entries().isEmpty()
                        && unknown.size() == set.entries().size()
                        && set.consumers().isEmpty();
        if (isBare && !set.side().isOnly()) {
            set.checked()
                    .forEach(
                            wiring ->
                                    reporter.report(
                                            wiring.profile(), noConsumer(set, wiring.profile())));
        }
        boolean isToldWhy = reporter.hasReported(FindingKinds.CODE_MISSING);
        if (set.code().size() == 0 && set.code().findings().isEmpty() && !isToldWhy) {
            reporter.report(
                    nothing(
                            set,
                            "code",
                            "There is no compiled code to read.",
                            "code: [target/classes]"));
        }
    }

    /** The patterns of packages that there are, and whose names are near. */
    private static List<String> near(NameSearch packages, String pattern) {
        int end = pattern.lastIndexOf('.');
        String packageName = pattern.substring(0, end);
        return packages.near(packageName).stream()
                .filter(other -> !other.equals(packageName))
                .map(near -> near + pattern.substring(end))
                .toList();
    }

    private static NameSearch packages(ResolvedSet set) {
        TreeSet<String> packages = new TreeSet<>();
        set.code().names().forEach(name -> packages.add(ClassFacts.packageOf(name)));
        return new NameSearch(packages);
    }

    private static Finding nothing(ResolvedSet set, String cause, String message, String line) {
        return Finding.of(FindingKinds.NOTHING_TO_CHECK, set.declared().at(), cause, message)
                .with("write", line);
    }

    /**
     * Makes the finding that the code of a side has none of the entry consumers; another side may
     * have them.
     */
    private static Finding noConsumer(ResolvedSet set, ResolvedProfile profile) {
        boolean noCode = set.code().size() == 0;
        return Finding.of(
                        FindingKinds.NOTHING_TO_CHECK,
                        profile.declared().at(),
                        profile.declared().name(),
                        noCode
                                ? "There is no compiled code on this side."
                                : "None of the entry consumers is on this side.")
                .with(
                        "do",
                        noCode
                                ? "build it, or correct the profile's code"
                                : "add the code that has one to the profile, or one of this side to"
                                        + " entry");
    }

    private static Finding finding(ResolvedSet set, NameSearch packages, ResolvedEntry entry) {
        String text = entry.written().text();
        if (entry.ambiguous()) {
            return NamesRule.finding(set, set.names().lookup(entry.written()));
        }
        EntryText entryText = entry.text();
        if (entry.isExclusion()) {
            return Finding.of(
                            FindingKinds.UNKNOWN_ENTRY,
                            entry.written().at(),
                            text,
                            "No pattern names a consumer that " + text + " would take out.")
                    .withAny(
                            "did you mean",
                            entryText.isPattern()
                                    ? near(packages, entryText.name())
                                    : set.names().near(entryText.name()))
                    .with("do", "correct it, or take it out");
        }
        if (entryText.isPattern()) {
            return Finding.of(
                            FindingKinds.UNKNOWN_ENTRY,
                            entry.written().at(),
                            text,
                            "No consumer answers to the pattern " + text + ".")
                    .withAny("did you mean", near(packages, entryText.name()))
                    .with(
                            "counts",
                            entryText.kind() == EntryText.Kind.UNASKED
                                    ? "classes with marked members that no other such class asks"
                                            + " for"
                                    : "concrete classes that ask for something and are not bound in"
                                            + " this file; no tests and no inner classes")
                    .with("do", "correct the package, or name the consumers");
        }
        Finding unknown = NamesRule.finding(set, new NameLookup(entry.written(), List.of()));
        Finding finding =
                Finding.of(
                        FindingKinds.UNKNOWN_ENTRY,
                        unknown.at(),
                        unknown.cause(),
                        "The entry consumer " + text + " is not on the code path.");
        for (FindingDetail detail : unknown.details()) {
            finding = finding.with(detail.label(), detail.text());
        }
        return finding;
    }
}
