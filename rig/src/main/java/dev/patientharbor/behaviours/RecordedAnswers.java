package dev.patientharbor.behaviours;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.live.ValueConverter;
import dev.patientharbor.model.CannedMethod;
import dev.patientharbor.model.CannedMethod.Response;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.standins.Call;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Turns calls that were seen into canned answers: for each method and its arguments what was
 * answered, in order, or how it failed at last. What returns nothing needs no answer.
 */
public final class RecordedAnswers {

    private final ValueConverter converter;
    private final SourcePosition at;

    /**
     * @param at what the answers name as the place where they stand
     */
    public RecordedAnswers(ValueConverter converter, SourcePosition at) {
        this.converter = converter;
        this.at = at;
    }

    /**
     * The answers that a stub would need to do as was seen.
     *
     * @throws IllegalArgumentException if an argument or an answer cannot be written as a value
     */
    public List<CannedMethod> answers(List<Call> calls) {
        Map<String, Map<String, List<Call>>> byMethod = new LinkedHashMap<>();
        for (Call call : calls) {
            if (call.method().getReturnType() != void.class) {
                byMethod.computeIfAbsent(call.name(), name -> new LinkedHashMap<>())
                        .computeIfAbsent(call.toString(), text -> new ArrayList<>())
                        .add(call);
            }
        }
        List<CannedMethod> all = new ArrayList<>();
        byMethod.forEach(
                (method, cases) ->
                        all.add(
                                new CannedMethod(
                                        new WrittenName(method, at),
                                        cases.values().stream().map(this::one).toList())));
        return all;
    }

    private CannedMethod.Case one(List<Call> same) {
        Call last = same.get(same.size() - 1);
        Optional<List<GivenValue>> given =
                last.arguments().isEmpty()
                        ? Optional.empty()
                        : Optional.of(last.arguments().stream().map(this::given).toList());
        return new CannedMethod.Case(given, response(same, last), at);
    }

    private Response response(List<Call> same, Call last) {
        if (last.failure().isPresent()) {
            Throwable thrown = last.failure().get();
            return new Response.Fails(
                    new WrittenName(thrown.getClass().getName(), at),
                    Optional.ofNullable(thrown.getMessage())
                            .map(text -> new WrittenName(converter.hidden(text), at)));
        }
        List<GivenValue> answers =
                new ArrayList<>(
                        same.stream()
                                .filter(call -> call.failure().isEmpty())
                                .map(call -> given(call.answer().orElse(null)))
                                .toList());
        // The last answer is given from then on: to say it twice says nothing.
        while (answers.size() > 1
                && answers.get(answers.size() - 1)
                        .canonicalText()
                        .equals(answers.get(answers.size() - 2).canonicalText())) {
            answers.remove(answers.size() - 1);
        }
        return new Response.Answers(answers);
    }

    private GivenValue given(Object object) {
        return converter.given(object, at);
    }
}
