package dev.patientharbor.model;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.WrittenName;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The answers of one method of a stub that needs no class.
 *
 * @param method the name of the method
 * @param cases what it answers, the first case that fits a call
 */
public record CannedMethod(WrittenName method, List<Case> cases) {
    public CannedMethod {
        cases = List.copyOf(cases);
    }

    /**
     * The response to some arguments.
     *
     * @param given the arguments for which it holds; empty if for all
     * @param answer what is answered
     * @param at where it stands
     */
    public record Case(Optional<List<GivenValue>> given, Response answer, SourcePosition at) {
        public Case {
            given = given.map(List::copyOf);
        }

        String canonicalText() {
            return given.map(all -> all.stream().map(GivenValue::canonicalText).toList() + " -> ")
                            .orElse("")
                    + answer.canonicalText();
        }
    }

    /** What a call gets. */
    public sealed interface Response {

        /** Calls the function for its kind, and returns the result. */
        <T> T match(Function<Answers, T> answers, Function<Fails, T> fails);

        /** Returns what it answers, one after the other; nothing if it fails. */
        default List<GivenValue> answers() {
            return match(Answers::inOrder, fails -> List.of());
        }

        /** Returns the failure, if it is one. */
        default Optional<Fails> failure() {
            return match(answers -> Optional.empty(), Optional::of);
        }

        /** Returns the response as text, equal for equal responses. */
        String canonicalText();

        /** One after the other, the last one from then on; a plain answer is one alone. */
        record Answers(List<GivenValue> inOrder) implements Response {
            public Answers {
                inOrder = List.copyOf(inOrder);
            }

            @Override
            public String canonicalText() {
                return inOrder.stream().map(GivenValue::canonicalText).toList().toString();
            }

            @Override
            public <T> T match(Function<Answers, T> answers, Function<Fails, T> fails) {
                return answers.apply(this);
            }
        }

        /**
         * A failure.
         *
         * @param type the exception
         * @param saying its message, if it has one
         */
        record Fails(WrittenName type, Optional<WrittenName> saying) implements Response {
            @Override
            public String canonicalText() {
                return "fails " + type.text() + saying.map(name -> ": " + name.text()).orElse("");
            }

            @Override
            public <T> T match(Function<Answers, T> answers, Function<Fails, T> fails) {
                return fails.apply(this);
            }
        }
    }

    /** The answers as text: equal for equal answers. */
    String canonicalText() {
        return method.text()
                + cases.stream()
                        .map(Case::canonicalText)
                        .collect(Collectors.joining(", ", "(", ")"));
    }
}
