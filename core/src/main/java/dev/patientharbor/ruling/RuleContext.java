package dev.patientharbor.ruling;

import dev.patientharbor.resolve.ResolvedSet;

/**
 * What a rule is given: the profiles of one side, the phrases and lines for them, and who takes the
 * findings. Belongs to one check and one thread.
 */
public final class RuleContext {

    private final ResolvedSet set;
    private final FindingReporter reporter;
    private final FindingWording wording;
    private final LineToWrite lines;

    public RuleContext(FindingReporter reporter) {
        this.reporter = reporter;
        set = reporter.set();
        wording = new FindingWording(set);
        lines = new LineToWrite(set, wording);
    }

    public ResolvedSet set() {
        return set;
    }

    public FindingReporter reporter() {
        return reporter;
    }

    public FindingWording wording() {
        return wording;
    }

    public LineToWrite lines() {
        return lines;
    }
}
