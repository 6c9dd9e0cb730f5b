package dev.patientharbor.report;

import dev.patientharbor.survey.Survey;
import dev.patientharbor.texts.RequiredArgument;
import java.util.Set;

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
                text.append(MarkdownTable.head(table.columns()));
                table.rows().forEach(row -> text.append(MarkdownTable.row(row)));
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
}
