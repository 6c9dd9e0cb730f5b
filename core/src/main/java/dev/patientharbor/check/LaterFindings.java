package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What is told only where somebody asks for it, found after the check: severities and suppressions
 * of the set hold for it too.
 */
final class LaterFindings {

    private final Map<String, List<Finding>> ofProfiles;
    private final FindingKind kind;
    private final SuppressionFilter filter;

    /**
     * @param ofProfiles by the names of the profiles that were looked at
     * @param kind their kind
     */
    LaterFindings(
            Map<String, List<Finding>> ofProfiles, FindingKind kind, SuppressionFilter filter) {
        this.ofProfiles = ofProfiles;
        this.kind = kind;
        this.filter = filter;
    }

    /** The profiles, each with what was found in it. */
    List<ProfileVerdict> in(List<ProfileVerdict> profiles) {
        return profiles.stream().map(this::in).toList();
    }

    private ProfileVerdict in(ProfileVerdict profile) {
        List<Finding> found = ofProfiles.get(profile.name());
        if (found == null) {
            return profile;
        }
        SuppressionFilter.FilteredFindings more = filter.filter(found);
        return kind == FindingKinds.BUILD_FAILED
                ? profile.built(more.reported(), more.suppressed())
                : profile.with(more.reported(), more.suppressed());
    }

    /**
     * What concerns no profile alone: also suppressions of that kind that suppress nothing, if all
     * profiles were looked at. Asked last, for it depends on what was suppressed.
     */
    SuppressionFilter.FilteredFindings ofSet(List<Finding> found, List<ProfileVerdict> profiles) {
        SuppressionFilter.FilteredFindings more = filter.filter(found);
        List<Finding> told = new ArrayList<>(more.reported());
        boolean areAll =
                profiles.stream()
                        .allMatch(each -> each.isPartial() || ofProfiles.containsKey(each.name()));
        if (areAll) {
            told.addAll(filter.findings(kind.id()::equals));
        }
        return new SuppressionFilter.FilteredFindings(told, more.suppressed());
    }
}
