package dev.patientharbor.model;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.terms.Settings;
import java.time.LocalDate;
import java.util.List;

/**
 * What a check depends on beside the declaration and the code.
 *
 * @param settings what {@code ${NAME}} stands for
 * @param today the day that {@code until} is compared with
 * @param earlier findings made before, such as those of reading the file; they count against
 *     completeness like others
 */
public record CheckCircumstances(Settings settings, LocalDate today, List<Finding> earlier) {
    public CheckCircumstances {
        earlier = List.copyOf(earlier);
    }

    /** No settings, no findings, and a day on which nothing is overdue. */
    public static final CheckCircumstances NONE =
            new CheckCircumstances(Settings.NONE, LocalDate.MIN, List.of());
}
