package dev.patientharbor.ruling;

import dev.patientharbor.resolve.ResolvedSet;

/**
 * What a rule is given: the profiles of one side, the phrases and lines for them, and who takes the
 * findings. Belongs to one check and one thread.
 */
public final class RuleContext {

    private final ResolvedSet set;
    private final Reporter reporter;
    private final Wording wording;
    private final LineToWrite lines;

    public RuleContext(Reporter reporter) {
        this.reporter = reporter;
        set = reporter.set();
        wording = new Wording(set);
        lines = new LineToWrite(set, wording);
    }

    public ResolvedSet set() {
        return set;
    }

    public Reporter reporter() {
        return reporter;
    }

    public Wording wording() {
        return wording;
    }

    public LineToWrite lines() {
        return lines;
    }
}
