package dev.patientharbor.report;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.survey.CodeLocation;
import dev.patientharbor.survey.ExtractableInterface;
import dev.patientharbor.survey.HandWiring;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.survey.SharedState;
import dev.patientharbor.survey.Survey;
import dev.patientharbor.survey.SurveyedContract;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.Set;

/**
 * Writes a survey as one table of values with commas between (RFC 4180): each line begins with its
 * section, all lines have the same columns, names are binary names. Columns are described in
 * docs/survey.md.
 */
public final class SurveyCsv {

    private final Survey survey;
    private final CsvWriter rows;

    private SurveyCsv(Survey survey, CsvWriter rows) {
        this.survey = survey;
        this.rows = rows;
    }

    /**
     * The whole text; every line ends with {@code \r\n}.
     *
     * @param sections those that are written; all if there is none
     */
    public static String render(Survey survey, Set<SurveySection> sections) {
        RequiredArgument.of(survey, "survey");
        RequiredArgument.of(sections, "sections");
        StringWriter text = new StringWriter();
        try (CsvWriter rows = CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(text)) {
            rows.writeRecord(
                    "section",
                    "class",
                    "member",
                    "file",
                    "line",
                    "contract",
                    "implementation",
                    "detail");
            SurveyCsv csv = new SurveyCsv(survey, rows);
            for (SurveySection section : SurveySection.values()) {
                if (sections.isEmpty() || sections.contains(section)) {
                    csv.write(section);
                }
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException("text in memory cannot fail", impossible);
        }
        return text.toString();
    }

    private void write(SurveySection section) {
        String word = section.word();
        Runnable rowsOf =
                switch (section) {
                    case HARD_WIRED -> () -> survey.hardWired().forEach(each -> write(word, each));
                    case CONTRACTS -> () -> survey.contracts().forEach(each -> write(word, each));
                    case INTERFACES -> () -> survey.interfaces().forEach(each -> write(word, each));
                    case TOUCHES ->
                            () ->
                                    survey.touches()
                                            .forEach(
                                                    (name, all) ->
                                                            all.forEach(
                                                                    each ->
                                                                            write(
                                                                                    word, name,
                                                                                    each)));
                    case HAND_WIRING ->
                            () -> survey.handWiring().forEach(each -> write(word, each));
                    case SHARED_STATE ->
                            () -> survey.sharedState().forEach(each -> write(word, each));
                    case ENTRY_CONSUMERS ->
                            () -> survey.entryConsumers().forEach(each -> write(word, each));
                    case UNREADABLE -> () -> survey.findings().forEach(each -> write(word, each));
                };
        rowsOf.run();
    }

    private void write(String section, String className) {
        rows.writeRecord(section, className, "", "", "", "", "", "");
    }

    private void write(String section, HardWiring wiring) {
        rows.writeRecord(
                section,
                wiring.consumer(),
                wiring.at().member(),
                wiring.at().file().orElse(""),
                line(wiring.at()),
                wiring.contract(),
                wiring.implementation().orElse(""),
                wiring.source());
    }

    /** A line for each class that stands behind it, then one for each that asks for it. */
    private void write(String section, SurveyedContract contract) {
        String name = contract.name();
        String kind = contract.kind().word();
        if (contract.implementations().isEmpty()) {
            rows.writeRecord(section, "", "", "", "", name, "", kind);
        }
        for (String implementation : contract.implementations()) {
            rows.writeRecord(section, "", "", "", "", name, implementation, kind);
        }
        for (String consumer : contract.askedBy()) {
            rows.writeRecord(section, consumer, "", "", "", name, "", "asks for it");
        }
    }

    private void write(String section, ExtractableInterface one) {
        for (String member : one.members()) {
            rows.writeRecord(section, one.className(), member, "", "", one.name(), "", "");
        }
    }

    private void write(String section, String className, Touch touch) {
        rows.writeRecord(
                section,
                className,
                touch.at().member(),
                touch.at().file().orElse(""),
                line(touch.at()),
                "",
                "",
                touch.kind().word() + ": " + String.join(" → ", touch.way()));
    }

    private void write(String section, HandWiring wiring) {
        rows.writeRecord(
                section,
                wiring.at().className(),
                wiring.at().member(),
                wiring.at().file().orElse(""),
                line(wiring.at()),
                "",
                "",
                "objects " + wiring.made() + ", hand-overs " + wiring.handOvers());
    }

    private void write(String section, SharedState state) {
        rows.writeRecord(
                section,
                state.className(),
                state.field(),
                "",
                "",
                "",
                "",
                state.type() + state.change().map(change -> ", " + change).orElse(""));
    }

    private void write(String section, Finding finding) {
        rows.writeRecord(section, "", "", finding.at().text(), "", "", "", finding.message());
    }

    private static String line(CodeLocation at) {
        return at.line() == 0 ? "" : String.valueOf(at.line());
    }
}
