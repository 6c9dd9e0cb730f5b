package dev.patientharbor.cli;

import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.report.SurveyCsv;
import dev.patientharbor.report.SurveyJson;
import dev.patientharbor.report.SurveyMarkdown;
import dev.patientharbor.report.SurveySection;
import dev.patientharbor.report.SurveyText;
import dev.patientharbor.survey.Survey;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** {@code survey}: what is in the code? */
final class SurveyCommand {

    /** The forms of the answer. */
    private enum Format {
        TEXT,
        JSON,
        CSV,
        MARKDOWN
    }

    private static final String BELOW = ".**";

    private SurveyCommand() {}

    static CommandSpec spec() {
        return CommandOptions.surveying(
                Format.values(),
                Arrays.stream(SurveySection.values()).map(SurveySection::word).toList());
    }

    static int run(ParseResult parsed, Console console) {
        Format format = CommandOptions.format(parsed, Format.values());
        Set<SurveySection> sections = sections(CommandOptions.sections(parsed));
        ProfileSet set = CheckRun.surveyed(parsed);
        ResultOutput output = ResultOutput.of(parsed, set, console);
        Survey survey = set.survey().only(wanted(CommandOptions.packages(parsed)));
        output.write(
                switch (format) {
                    case TEXT -> SurveyText.render(survey, sections, output.layout());
                    case JSON -> SurveyJson.render(survey);
                    case CSV -> SurveyCsv.render(survey, sections);
                    case MARKDOWN -> SurveyMarkdown.render(survey, sections);
                });
        return ExitCode.CLEAN;
    }

    private static Set<SurveySection> sections(List<String> words) {
        Set<SurveySection> sections = EnumSet.noneOf(SurveySection.class);
        for (String word : words) {
            sections.add(
                    SurveySection.of(word)
                            .orElseThrow(
                                    () ->
                                            new UnusableException(
                                                    "there is no section "
                                                            + word
                                                            + "; write some of "
                                                            + Arrays.stream(SurveySection.values())
                                                                    .map(SurveySection::word)
                                                                    .collect(
                                                                            Collectors.joining(
                                                                                    ", ")))));
        }
        return sections;
    }

    private static Predicate<String> wanted(List<String> packages) {
        return packages.isEmpty()
                ? name -> true
                : name -> packages.stream().anyMatch(pattern -> isIn(name, pattern));
    }

    private static boolean isIn(String name, String pattern) {
        String inside = name.substring(0, Math.max(0, name.lastIndexOf('.')));
        if (!pattern.endsWith(BELOW)) {
            // As in a profile file, .* stands for the classes of the package itself.
            return inside.equals(pattern.replaceFirst("\\.\\*$", ""));
        }
        String above = pattern.substring(0, pattern.length() - BELOW.length());
        return inside.equals(above) || inside.startsWith(above + '.');
    }
}
