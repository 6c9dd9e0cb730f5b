package dev.patientharbor.notation;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.CannedMethod;
import dev.patientharbor.model.CannedMethod.Case;
import dev.patientharbor.model.CannedMethod.Response;
import dev.patientharbor.model.CannedMethod.Response.Answers;
import dev.patientharbor.model.CannedMethod.Response.Fails;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Reads the canned answers of a stub: by method, a plain answer, a case, or a list of cases. A map
 * is a case if it has one of the keys of a case, and a list if all its items are cases.
 */
final class CannedReader {

    private static final String GIVEN = "given";
    private static final String ANSWER = "answer";
    private static final String ANSWERS = "answers";
    private static final String FAILS = "fails";
    private static final String SAYING = "saying";
    private static final List<String> KEYS = List.of(GIVEN, ANSWER, ANSWERS, FAILS, SAYING);

    private CannedReader() {}

    static List<CannedMethod> read(YamlNode stub) {
        List<CannedMethod> all = new ArrayList<>();
        stub.fields("the canned answers")
                .each(
                        (method, answers) ->
                                all.add(new CannedMethod(method, cases(method, answers))));
        return all;
    }

    private static List<Case> cases(WrittenName method, YamlNode answers) {
        if (isCase(answers)) {
            return one(method, answers).stream().toList();
        }
        List<YamlNode> items = answers.isList() ? answers.items("answers") : List.of();
        if (!items.isEmpty() && items.stream().allMatch(CannedReader::isCase)) {
            return items.stream().flatMap(item -> one(method, item).stream()).toList();
        }
        return List.of(plain(answers.given(), answers.at()));
    }

    private static Case plain(GivenValue answer, SourcePosition at) {
        return new Case(Optional.empty(), new Answers(List.of(answer)), at);
    }

    private static boolean isCase(YamlNode node) {
        return node.isFields() && node.hasAny(KEYS);
    }

    private static Optional<Case> one(WrittenName method, YamlNode node) {
        YamlMap map = node.fields("an answer of " + method.text());
        Optional<List<GivenValue>> given =
                map.take(GIVEN)
                        .map(value -> value.items("a list of arguments"))
                        .map(all -> all.stream().map(YamlNode::given).toList());
        Optional<YamlNode> answer = map.take(ANSWER);
        Optional<YamlNode> answers = map.take(ANSWERS);
        Optional<YamlNode> fails = map.take(FAILS);
        Optional<WrittenName> saying = map.take(SAYING).flatMap(value -> value.text("a message"));
        map.reportUnknownKeys();
        int said = count(answer) + count(answers) + count(fails);
        boolean none =
                answers.filter(value -> value.isList() && value.items("").isEmpty()).isPresent();
        if (said != 1 || none || saying.isPresent() && fails.isEmpty()) {
            node.faults()
                    .malformed(
                            node.at(),
                            "A case of "
                                    + method.text()
                                    + (said > 1 ? " answers in two ways." : " has no answer."),
                            "write one of answer, answers (one after the other), and fails with"
                                    + " saying");
            return Optional.empty();
        }
        Optional<Response> response =
                fails.isPresent()
                        ? fails.get().text("an exception").map(type -> new Fails(type, saying))
                        : Optional.of(new Answers(inOrder(answer, answers)));
        return response.map(other -> new Case(given, other, node.at()));
    }

    private static List<GivenValue> inOrder(Optional<YamlNode> answer, Optional<YamlNode> answers) {
        return answer.map(node -> List.of(node.given()))
                .orElseGet(
                        () ->
                                answers.orElseThrow().items("a list of answers").stream()
                                        .map(YamlNode::given)
                                        .toList());
    }

    private static int count(Optional<YamlNode> piece) {
        return piece.isPresent() ? 1 : 0;
    }
}
