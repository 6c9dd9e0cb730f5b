package dev.patientharbor.surveying;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.profiles.Supplies;
import dev.patientharbor.survey.ContractKind;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.survey.Survey;
import dev.patientharbor.survey.TouchKind;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.TreeSet;

/** Holds what a survey tells of code against what a check tells of the same code. */
final class SurveyAgrees {

    private static final String PROFILE = "all-mocks";

    private SurveyAgrees() {}

    /**
     * Makes a profile in which every contract that is asked for is a mock, and every class that the
     * survey names is an entry consumer, and compares hard-wired places, touches, and what the rule
     * {@code untouched} reports.
     */
    static void withCheck(Path code, Survey survey) {
        TreeSet<String> classes = new TreeSet<>(survey.touches().keySet());
        survey.hardWired().forEach(wiring -> classes.add(wiring.consumer()));
        classes.addAll(survey.entryConsumers());
        if (classes.isEmpty()) {
            return;
        }
        Verdict verdict = verdict(code, survey, classes);
        TreeSet<String> surveyed = new TreeSet<>();
        survey.hardWired().stream()
                .filter(wiring -> classes.contains(wiring.consumer()))
                .forEach(wiring -> surveyed.add(text(wiring)));
        TreeSet<String> found = new TreeSet<>();
        TreeSet<String> broken = new TreeSet<>();
        for (Finding finding : verdict.allFindings()) {
            if (finding.kind().id().equals("hard-wired")) {
                found.add(finding.cause());
            } else if (finding.kind().id().equals("rule-broken")) {
                broken.add(finding.subjects().get(3) + ' ' + finding.subjects().get(2));
            }
        }
        assertEquals(surveyed, found, "hard-wired");
        TreeSet<String> touched = new TreeSet<>();
        verdict.touches()
                .forEach(
                        (name, touches) ->
                                touches.forEach(
                                        touch -> touched.add(name + ' ' + touch.kind().word())));
        TreeSet<String> expected = new TreeSet<>();
        survey.touches()
                .forEach(
                        (name, touches) ->
                                touches.forEach(
                                        touch -> expected.add(name + ' ' + touch.kind().word())));
        assertEquals(expected, touched, "touches");
        assertEquals(touched, broken, "untouched");
    }

    private static String text(HardWiring wiring) {
        return wiring.consumer() + ' ' + wiring.contract();
    }

    private static Verdict verdict(Path code, Survey survey, TreeSet<String> classes) {
        return ProfileSet.define(
                        "agreement",
                        set -> {
                            set.entry(classes.toArray(String[]::new));
                            set.profile(
                                    PROFILE,
                                    profile -> {
                                        survey.contracts().stream()
                                                .filter(
                                                        contract ->
                                                                contract.kind()
                                                                                != ContractKind
                                                                                        .CLASS
                                                                        && !contract.askedBy()
                                                                                .isEmpty())
                                                .forEach(
                                                        contract ->
                                                                profile.fill(
                                                                        contract.name(),
                                                                        Supplies.mock()));
                                        profile.rules(
                                                rules ->
                                                        rules.untouched(
                                                                Arrays.stream(TouchKind.values())
                                                                        .toArray(
                                                                                TouchKind[]::new)));
                                    });
                        })
                .withCode(code)
                .check();
    }
}
