package dev.patientharbor.model;

import dev.patientharbor.terms.WrittenName;
import java.time.Duration;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** A decorator that is built in, for any interface. */
public sealed interface BuiltIn {

    /** Calls the function for its kind, and returns the result. */
    <T> T match(Function<Delay, T> delay, Function<Fail, T> fail, Function<Spy, T> spy);

    /** The words of the built-in decorators; alone, each means no class. */
    Set<String> NAMES = Set.of("delay", "fail", "spy");

    /** Whether a text is one of these in words, rather than the name of a class. */
    static boolean isMeantBy(String text) {
        return NAMES.contains(text.substring(0, (text + ' ').indexOf(' ')));
    }

    /** Returns such words without what a call fails with. */
    static String shortWords(String words) {
        return words.substring(0, (words + " with ").indexOf(" with "));
    }

    /** Returns what makes calls fail, if it does. */
    default Optional<Fail> failure() {
        return match(delay -> Optional.empty(), Optional::of, spy -> Optional.empty());
    }

    /** Its word. */
    String name();

    /**
     * Describes the decorator in words, equal words for equal decorators. Begins with its word and
     * a space, if more follows.
     */
    String words();

    /** Waits before each call. */
    record Delay(Duration time) implements BuiltIn {
        public Delay {
            if (time.isNegative()) {
                throw new IllegalArgumentException("a delay cannot be negative: " + time);
            }
        }

        @Override
        public String name() {
            return "delay";
        }

        @Override
        public String words() {
            return "delay " + DurationText.text(time);
        }

        @Override
        public <T> T match(Function<Delay, T> delay, Function<Fail, T> fail, Function<Spy, T> spy) {
            return delay.apply(this);
        }
    }

    /**
     * Lets some calls fail before they reach what is wrapped.
     *
     * @param when which
     * @param with the exception
     * @param saying its message
     */
    record Fail(When when, WrittenName with, Optional<String> saying) implements BuiltIn {

        /** The exception that a call fails with where nothing else is said. */
        public static final String USUAL = "java.lang.IllegalStateException";

        @Override
        public String name() {
            return "fail";
        }

        @Override
        public String words() {
            return "fail "
                    + when.words()
                    + " with "
                    + with.text()
                    + saying.map(message -> ": " + message).orElse("");
        }

        @Override
        public <T> T match(Function<Delay, T> delay, Function<Fail, T> fail, Function<Spy, T> spy) {
            return fail.apply(this);
        }
    }

    /** Which calls fail. */
    sealed interface When {

        /** Calls the function for its kind, and returns the result. */
        <T> T match(Function<Every, T> every, Function<Rate, T> rate);

        /** Describes the decorator in words. */
        String words();

        /** Every n-th call, counted from 1 in each object. */
        record Every(int nth) implements When {
            public Every {
                if (nth < 1) {
                    throw new IllegalArgumentException(
                            "every n-th call fails, with n from 1: " + nth);
                }
            }

            @Override
            public String words() {
                return "every " + nth;
            }

            @Override
            public <T> T match(Function<Every, T> every, Function<Rate, T> rate) {
                return every.apply(this);
            }
        }

        /** A share of the calls, the same ones in each run. */
        record Rate(double share, long seed) implements When {
            public Rate {
                if (!(share >= 0 && share <= 1)) {
                    throw new IllegalArgumentException("a rate lies between 0 and 1: " + share);
                }
            }

            @Override
            public String words() {
                return "rate " + share + " seed " + seed;
            }

            @Override
            public <T> T match(Function<Every, T> every, Function<Rate, T> rate) {
                return rate.apply(this);
            }
        }
    }

    /** Keeps a record of the calls. */
    record Spy() implements BuiltIn {
        @Override
        public String name() {
            return "spy";
        }

        @Override
        public String words() {
            return "spy";
        }

        @Override
        public <T> T match(Function<Delay, T> delay, Function<Fail, T> fail, Function<Spy, T> spy) {
            return spy.apply(this);
        }
    }
}
