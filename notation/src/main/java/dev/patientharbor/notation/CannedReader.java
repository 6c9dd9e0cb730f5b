package dev.patientharbor.notation;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Canned;
import dev.patientharbor.model.Canned.Case;
import dev.patientharbor.model.Canned.Response;
import dev.patientharbor.model.Canned.Response.Answers;
import dev.patientharbor.model.Canned.Response.Fails;
import dev.patientharbor.model.Given;
import dev.patientharbor.model.Written;
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

    static List<Canned> read(Piece stub) {
        List<Canned> all = new ArrayList<>();
        stub.fields("the canned answers")
                .each((method, answers) -> all.add(new Canned(method, cases(method, answers))));
        return all;
    }

    private static List<Case> cases(Written method, Piece answers) {
        if (isCase(answers)) {
            return one(method, answers).stream().toList();
        }
        List<Piece> items = answers.isList() ? answers.items("answers") : List.of();
        if (!items.isEmpty() && items.stream().allMatch(CannedReader::isCase)) {
            return items.stream().flatMap(item -> one(method, item).stream()).toList();
        }
        return List.of(plain(answers.given(), answers.at()));
    }

    private static Case plain(Given answer, Where at) {
        return new Case(Optional.empty(), new Answers(List.of(answer)), at);
    }

    private static boolean isCase(Piece piece) {
        return piece.isFields() && piece.hasAny(KEYS);
    }

    private static Optional<Case> one(Written method, Piece piece) {
        Fields fields = piece.fields("an answer of " + method.text());
        Optional<List<Given>> given =
                fields.take(GIVEN)
                        .map(one -> one.items("a list of arguments"))
                        .map(all -> all.stream().map(Piece::given).toList());
        Optional<Piece> answer = fields.take(ANSWER);
        Optional<Piece> answers = fields.take(ANSWERS);
        Optional<Piece> fails = fields.take(FAILS);
        Optional<Written> saying = fields.take(SAYING).flatMap(one -> one.text("a message"));
        fields.tellUnknown();
        int said = count(answer) + count(answers) + count(fails);
        boolean none = answers.filter(one -> one.isList() && one.items("").isEmpty()).isPresent();
        if (said != 1 || none || saying.isPresent() && fails.isEmpty()) {
            piece.faults()
                    .malformed(
                            piece.at(),
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
        return response.map(one -> new Case(given, one, piece.at()));
    }

    private static List<Given> inOrder(Optional<Piece> answer, Optional<Piece> answers) {
        return answer.map(one -> List.of(one.given()))
                .orElseGet(
                        () ->
                                answers.orElseThrow().items("a list of answers").stream()
                                        .map(Piece::given)
                                        .toList());
    }

    private static int count(Optional<Piece> piece) {
        return piece.isPresent() ? 1 : 0;
    }
}
