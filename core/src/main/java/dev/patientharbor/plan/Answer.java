package dev.patientharbor.plan;

import dev.patientharbor.finding.Where;
import java.util.List;
import java.util.Optional;

/**
 * What one need receives.
 *
 * @param kind what it is
 * @param implementation the binary name of the core; empty for a mock and where nothing is received
 * @param decorators the binary names of the decorators around it, outermost first
 * @param lifetime how long an instance lives; empty where nothing is received
 * @param instance a label: equal labels, same instance; empty where nothing is received
 * @param origin where it was said: the binding, or the class that supplies itself; empty if nothing
 *     was said
 */
public record Answer(
        AnswerKind kind,
        Optional<String> implementation,
        List<String> decorators,
        Optional<LifetimeChoice> lifetime,
        Optional<String> instance,
        Optional<Where> origin) {
    public Answer {
        decorators = List.copyOf(decorators);
    }

    /** Whether the need is met. */
    public boolean isMet() {
        return kind != AnswerKind.UNMET;
    }
}
