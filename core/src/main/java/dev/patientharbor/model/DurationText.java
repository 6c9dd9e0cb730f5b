package dev.patientharbor.model;

import java.time.Duration;
import java.time.format.DateTimeParseException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Durations as people write them: ISO-8601, or a number with a unit, as in {@code 200ms}. */
public final class DurationText {

    private static final Pattern SHORT = Pattern.compile("(\\d{1,18})(ms|s|m|h|d)");

    private DurationText() {}

    /**
     * The duration for which a text stands.
     *
     * @throws DateTimeParseException if it stands for none
     */
    public static Duration parse(String text) {
        Matcher parts = SHORT.matcher(text);
        if (!parts.matches()) {
            return Duration.parse(text);
        }
        long amount = Long.parseLong(parts.group(1));
        return switch (parts.group(2)) {
            case "ms" -> Duration.ofMillis(amount);
            case "s" -> Duration.ofSeconds(amount);
            case "m" -> Duration.ofMinutes(amount);
            case "h" -> Duration.ofHours(amount);
            default -> Duration.ofDays(amount);
        };
    }

    /** A text for a duration. */
    public static String text(Duration duration) {
        if (duration.toSeconds() != 0
                && duration.equals(Duration.ofSeconds(duration.toSeconds()))) {
            return duration.toSeconds() + "s";
        }
        return duration.equals(Duration.ofMillis(duration.toMillis()))
                ? duration.toMillis() + "ms"
                : duration.toString();
    }
}
