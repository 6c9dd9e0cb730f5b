package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingText;
import java.util.List;

/** Thrown where something is asked of a profile that only a complete one can answer. */
public final class IncompleteProfileException extends IllegalStateException {

    private static final long serialVersionUID = 1L;

    private final transient List<Finding> findings;

    IncompleteProfileException(String message, List<Finding> findings) {
        super(message + "\n" + FindingText.of(findings));
        this.findings = List.copyOf(findings);
    }

    /**
     * Returns the findings that make it incomplete, those of the set and of its parents included.
     */
    public List<Finding> findings() {
        return findings;
    }
}
