package dev.patientharbor.notation;

import static dev.patientharbor.finding.FindingKinds.TEST_CODE;
import static java.nio.charset.StandardCharsets.UTF_8;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.code.TestCode;
import dev.patientharbor.drafting.HandOverCheck;
import dev.patientharbor.drafting.WiringDraft;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.survey.HandOver;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Drafts from hand wiring, and holds what it drafted against it. */
final class HandWiringDrafter {

    private static final String NAME = "draft";

    private HandWiringDrafter() {}

    static HandWiringDraft draft(List<String> code, Path folder, String method) {
        String[] parts = method.split("#", 2);
        Path[] places = code.stream().map(folder::resolve).toArray(Path[]::new);
        List<WiringDraft> drafts =
                ProfileSet.define(NAME, set -> {})
                        .withCode(places)
                        .wiringDrafts(parts[0], parts.length > 1 ? parts[1] : "");
        HandWiringText file = new HandWiringText(code, method, drafts);
        Verdict verdict = check(file, folder);
        if (verdict.allFindings().stream().anyMatch(each -> each.kind() == TEST_CODE)) {
            List<String> all = new ArrayList<>(code);
            all.add(TestCode.WORD);
            file = new HandWiringText(all, method, drafts);
            verdict = check(file, folder);
        }
        return draft(file, verdict);
    }

    private static Verdict check(HandWiringText file, Path folder) {
        return ProfileFiles.parse(file.text().getBytes(UTF_8), NAME, folder).check(LocalDate.EPOCH);
    }

    private static HandWiringDraft draft(HandWiringText file, Verdict verdict) {
        Map<String, List<HandOver>> handOvers = new LinkedHashMap<>();
        Set<String> remarks = new LinkedHashSet<>();
        file.profiles()
                .forEach(
                        (name, draft) -> {
                            handOvers.put(
                                    name, HandOverCheck.of(draft.wiring(), verdict.roster(name)));
                            remarks.addAll(draft.remarks());
                        });
        verdict.allFindings().stream()
                .filter(finding -> finding.severity() == Severity.ERROR)
                .filter(finding -> !isToFill(finding, file.toFill()))
                .map(Finding::message)
                .forEach(remarks::add);
        return new HandWiringDraft(
                new ProfileDraft(file.text(), file.toFill(), List.copyOf(remarks)), handOvers);
    }

    private static boolean isToFill(Finding finding, List<String> toFill) {
        return finding.kind() == FindingKinds.UNMET_NEED && !toFill.isEmpty();
    }
}
