package dev.patientharbor.report;

import dev.patientharbor.survey.Survey;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.VisibleText;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Writes a survey for a review: a table for each section. */
public final class SurveyMarkdown {

    private SurveyMarkdown() {}

    /**
     * The whole text; every line ends with {@code \n}.
     *
     * @param sections those that are written; all if there is none
     */
    public static String render(Survey survey, Set<SurveySection> sections) {
        RequiredArgument.of(survey, "survey");
        RequiredArgument.of(sections, "sections");
        ShortClassNames names = ShortClassNames.among(SurveyText.classNames(survey));
        StringBuilder text =
                new StringBuilder("# Survey of " + survey.classes() + " classes" + "\n");
        for (SurveySection section : SurveySection.values()) {
            SurveyTable table = SurveyTable.of(section, survey, names);
            if (sections.isEmpty() ? !table.rows().isEmpty() : sections.contains(section)) {
                text.append("\n## ").append(section.word()).append("\n\n");
                text.append(section.about()).append("\n\n");
                text.append(row(table.columns()));
                text.append(row(table.columns().stream().map(column -> "---").toList()));
                table.rows().forEach(row -> text.append(row(row)));
                if (section == SurveySection.INTERFACES) {
                    survey.interfaces()
                            .forEach(
                                    one ->
                                            text.append("\n```java\n")
                                                    .append(one.source())
                                                    .append("```\n"));
                }
            }
        }
        return text.toString();
    }

    private static String row(List<String> cells) {
        return cells.stream()
                .map(SurveyMarkdown::cell)
                .collect(Collectors.joining(" | ", "| ", " |\n"));
    }

    /** Text from class files is text: nothing of it is markup. */
    private static String cell(String text) {
        return VisibleText.of(text).replaceAll("([\\\\`*_{}\\[\\]<>|#])", "\\\\$1");
    }
}
