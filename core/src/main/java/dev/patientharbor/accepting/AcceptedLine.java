package dev.patientharbor.accepting;

import dev.patientharbor.texts.BarredRow;
import dev.patientharbor.texts.RequiredArgument;
import java.util.List;

/**
 * What one need of one profile receives, or one member of a collection. Immutable.
 *
 * @param consumer who asks: a binary name, or the name of what is no class
 * @param need the need, with where its consumer stands; of a member with its number and key; of
 *     what the consumer makes by itself the method, and which place in it
 * @param profile the profile
 * @param slot what is asked for; of a member what its collection is asked for as
 * @param answer what is received, in words without places
 */
public record AcceptedLine(
        String consumer, String need, String profile, String slot, String answer) {

    static final String BY_ITSELF = "by itself in ";

    public AcceptedLine {
        RequiredArgument.of(consumer, "consumer");
        RequiredArgument.of(need, "need");
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(slot, "slot");
        RequiredArgument.of(answer, "answer");
    }

    /** Returns whether it tells what a consumer makes or fetches by itself, and no need. */
    public boolean isByItself() {
        return need.startsWith(BY_ITSELF);
    }

    /** Returns the line as it stands in the file. */
    public String text() {
        return BarredRow.of(List.of(consumer, need, profile, slot, answer));
    }

    String key() {
        return BarredRow.of(List.of(consumer, need, profile));
    }

    @Override
    public String toString() {
        return text();
    }
}
