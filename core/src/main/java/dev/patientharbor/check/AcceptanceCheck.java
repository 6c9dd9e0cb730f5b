package dev.patientharbor.check;

import dev.patientharbor.accepting.AcceptedLine;
import dev.patientharbor.accepting.AcceptedRoster;
import dev.patientharbor.accepting.RosterChange;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;

/** Tells what is not as it was accepted: needs that changed in the same way are one finding. */
final class AcceptanceCheck {

    private static final String ACCEPT = "accept it, if it is meant: patient-harbor accept --out ";

    /** What happened, whoever asks. */
    private record Cause(
            SourcePosition at, String slot, Optional<String> before, Optional<String> now) {}

    private AcceptanceCheck() {}

    /** The findings by profile. */
    static Map<String, List<Finding>> findings(Verdict verdict, AcceptedRoster accepted) {
        Map<String, Map<Cause, List<RosterChange>>> causes = new TreeMap<>();
        for (RosterChange change :
                accepted.changes(verdict.rosters().values(), verdict.hardWired())) {
            AcceptedLine line = change.line();
            Cause cause =
                    new Cause(
                            change.at(),
                            line.slot(),
                            change.accepted().map(AcceptanceCheck::said),
                            change.now().map(AcceptanceCheck::said));
            causes.computeIfAbsent(change.profile(), key -> new LinkedHashMap<>())
                    .computeIfAbsent(cause, key -> new ArrayList<>())
                    .add(change);
        }
        Map<String, List<Finding>> findings = new TreeMap<>();
        verdict.rosters().keySet().forEach(profile -> findings.put(profile, List.of()));
        causes.forEach(
                (profile, all) -> {
                    List<Finding> found = new ArrayList<>();
                    all.forEach(
                            (cause, changes) ->
                                    found.add(finding(verdict, accepted, cause, changes)));
                    findings.put(profile, found);
                });
        return findings;
    }

    /** What was accepted of profiles that are not there any more. */
    static List<Finding> ofSet(List<String> profiles, AcceptedRoster accepted) {
        List<Finding> findings = new ArrayList<>();
        accepted.ofOtherProfiles(profiles)
                .forEach(
                        (number, line) ->
                                findings.add(
                                        Finding.of(
                                                        FindingKinds.ROSTER_CHANGED,
                                                        new SourcePosition.InFile(
                                                                accepted.file(), number, 1),
                                                        line.profile(),
                                                        "The profile "
                                                                + line.profile()
                                                                + " was accepted, and is not there"
                                                                + " any more.")
                                                .with("do", ACCEPT + accepted.file())));
        return findings;
    }

    private static String said(AcceptedLine line) {
        return line.slot() + ": " + line.answer();
    }

    private static Finding finding(
            Verdict verdict, AcceptedRoster accepted, Cause cause, List<RosterChange> changes) {
        TreeSet<String> consumers = new TreeSet<>();
        TreeSet<String> needs = new TreeSet<>();
        for (RosterChange change : changes) {
            consumers.add(change.line().consumer());
            needs.add(verdict.shortName(change.line().consumer()) + " " + change.line().need());
        }
        boolean isOne = changes.size() == 1;
        String need = (isOne ? "A need of " : changes.size() + " needs of ") + cause.slot();
        String message =
                cause.now().isEmpty()
                        ? need + (isOne ? " is" : " are") + " gone since the roster was accepted."
                        : cause.before().isEmpty()
                                ? need
                                        + (isOne ? " is" : " are")
                                        + " new since the roster was accepted."
                                : need
                                        + (isOne ? " receives" : " receive")
                                        + " something else than was accepted.";
        if (changes.get(0).line().isByItself()) {
            message =
                    String.join(", ", consumers.stream().map(verdict::shortName).toList())
                            + (cause.now().isEmpty()
                                    ? " does not make or fetch by itself any more what was"
                                            + " accepted."
                                    : " makes or fetches by itself what was not accepted.");
        }
        Finding finding =
                Finding.of(
                                FindingKinds.ROSTER_CHANGED,
                                cause.at(),
                                cause.slot()
                                        + " "
                                        + cause.before().orElse("")
                                        + " → "
                                        + cause.now().orElse(""),
                                message)
                        .about(List.of(cause.slot()));
        if (cause.before().isPresent()) {
            finding = finding.with("accepted", cause.before().get());
        }
        if (cause.now().isPresent()) {
            finding = finding.with("now", cause.now().get());
        }
        return finding.with("needs", List.copyOf(needs))
                .with("do", ACCEPT + accepted.file())
                .touching(List.copyOf(consumers), List.of());
    }
}
