package dev.patientharbor.plan;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What one need receives.
 *
 * @param answer all that is known of it
 */
public record RosterNeed(Answer answer) {
    public RosterNeed {
        RequiredArgument.of(answer, "answer");
    }

    /** Returns the kind of thing that is received. */
    public AnswerKind kind() {
        return answer.kind();
    }

    /**
     * Returns the answer as people read it, call meets call: {@code NightSurcharge → real
     * TonnageFee}, {@code mock}, {@code absent}; classes by their short names.
     */
    public String received() {
        String layers =
                answer.decorators().stream()
                        .map(name -> Roster.shortName(name) + " → ")
                        .collect(Collectors.joining());
        return layers
                + answer.kind().word()
                + answer.implementation().map(name -> " " + Roster.shortName(name)).orElse("");
    }

    /** Returns the answer as people read it. */
    @Override
    public String toString() {
        return received();
    }

    /** Returns whether the core, behind any decorators, is an object of just that class. */
    public boolean is(Class<?> type) {
        RequiredArgument.of(type, "type");
        return answer.implementation().filter(type.getName()::equals).isPresent();
    }

    /** Returns whether it is the very instance that another need receives. */
    public boolean isSameAs(RosterNeed other) {
        RequiredArgument.of(other, "other");
        Optional<String> instance = answer.instance();
        return instance.isPresent() && instance.equals(other.answer.instance());
    }
}
