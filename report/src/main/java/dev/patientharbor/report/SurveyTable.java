package dev.patientharbor.report;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.survey.CodeLocation;
import dev.patientharbor.survey.ExtractableInterface;
import dev.patientharbor.survey.HandWiring;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.survey.SharedState;
import dev.patientharbor.survey.Survey;
import dev.patientharbor.survey.SurveyedContract;
import dev.patientharbor.survey.Touch;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * One section of a survey as a table.
 *
 * @param columns the names of the columns
 * @param rows the cells, as many in each row as there are columns
 */
record SurveyTable(SurveySection section, List<String> columns, List<List<String>> rows) {

    /** Makes the table of a section; names of classes as the given names have them. */
    static SurveyTable of(SurveySection section, Survey survey, ShortClassNames names) {
        return switch (section) {
            case HARD_WIRED ->
                    table(
                            section,
                            List.of("consumer", "where", "member", "by", "object", "contract"),
                            survey.hardWired().stream().map(one -> row(one, names)).toList());
            case CONTRACTS ->
                    table(
                            section,
                            List.of("contract", "kind", "behind it", "asked by"),
                            survey.contracts().stream().map(one -> row(one, names)).toList());
            case INTERFACES ->
                    table(
                            section,
                            List.of("class", "interface", "members"),
                            survey.interfaces().stream().map(one -> row(one, names)).toList());
            case TOUCHES -> touches(survey, names);
            case HAND_WIRING ->
                    table(
                            section,
                            List.of("where", "method", "objects", "hand-overs"),
                            survey.handWiring().stream().map(one -> row(one, names)).toList());
            case SHARED_STATE ->
                    table(
                            section,
                            List.of("class", "field", "type", "changes"),
                            survey.sharedState().stream().map(one -> row(one, names)).toList());
            case ENTRY_CONSUMERS ->
                    table(
                            section,
                            List.of("class"),
                            survey.entryConsumers().stream()
                                    .map(name -> List.of(names.of(name)))
                                    .toList());
            case UNREADABLE ->
                    table(
                            section,
                            List.of("place", "what"),
                            survey.findings().stream().map(SurveyTable::row).toList());
        };
    }

    private static SurveyTable table(
            SurveySection section, List<String> columns, List<List<String>> rows) {
        return new SurveyTable(section, columns, rows);
    }

    private static List<String> row(HardWiring wiring, ShortClassNames names) {
        return List.of(
                names.of(wiring.consumer()),
                where(wiring.at(), names),
                wiring.at().member(),
                wiring.source(),
                wiring.implementation().map(names::of).orElse("?"),
                names.of(wiring.contract()));
    }

    private static String where(CodeLocation at, ShortClassNames names) {
        return at.line() > 0 ? at.text() : names.of(at.className());
    }

    private static List<String> row(SurveyedContract contract, ShortClassNames names) {
        return List.of(
                names.of(contract.name()),
                contract.kind().word(),
                contract.implementations().isEmpty()
                        ? "nothing"
                        : names.list(contract.implementations()),
                names.list(contract.askedBy()));
    }

    private static List<String> row(ExtractableInterface one, ShortClassNames names) {
        return List.of(names.of(one.className()), one.name(), String.join(", ", one.members()));
    }

    private static SurveyTable touches(Survey survey, ShortClassNames names) {
        List<List<String>> rows = new ArrayList<>();
        survey.touches()
                .forEach(
                        (name, touches) ->
                                touches.forEach(touch -> rows.add(row(name, touch, names))));
        return table(SurveySection.TOUCHES, List.of("class", "reaches", "where", "way"), rows);
    }

    private static List<String> row(String name, Touch touch, ShortClassNames names) {
        return List.of(
                names.of(name),
                touch.kind().word(),
                where(touch.at(), names),
                touch.way().stream()
                        .map(step -> member(step, names))
                        .collect(Collectors.joining(" → ")));
    }

    private static String member(String step, ShortClassNames names) {
        int dot = step.lastIndexOf('.');
        return names.of(step.substring(0, dot)) + step.substring(dot);
    }

    private static List<String> row(HandWiring wiring, ShortClassNames names) {
        return List.of(
                where(wiring.at(), names),
                names.of(wiring.at().className()) + '.' + wiring.at().member(),
                String.valueOf(wiring.made()),
                String.valueOf(wiring.handOvers()));
    }

    private static List<String> row(SharedState state, ShortClassNames names) {
        return List.of(
                names.of(state.className()),
                state.field(),
                names.of(state.type()),
                state.change().orElse("no"));
    }

    private static List<String> row(Finding finding) {
        return List.of(finding.at().text(), finding.message());
    }
}
