package dev.patientharbor.check;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * A contract of which a consumer makes or fetches an implementation by itself, past whatever a
 * profile says. Immutable.
 *
 * @param contract the binary name of the contract
 * @param consumer the binary name of the consumer
 */
public record Bypass(String contract, String consumer) {

    public Bypass {
        RequiredArgument.of(contract, "contract");
        RequiredArgument.of(consumer, "consumer");
    }

    /** Returns those of which findings tell, suppressed ones too: by contract, then by consumer. */
    static List<Bypass> in(Stream<Finding> findings) {
        return findings.filter(finding -> finding.kind() == FindingKinds.HARD_WIRED)
                .map(finding -> new Bypass(finding.subjects().get(1), finding.subjects().get(0)))
                .sorted(Comparator.comparing(Bypass::contract).thenComparing(Bypass::consumer))
                .distinct()
                .toList();
    }
}
