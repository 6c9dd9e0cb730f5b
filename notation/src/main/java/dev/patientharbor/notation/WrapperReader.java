package dev.patientharbor.notation;

import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.model.BuiltIn.When;
import dev.patientharbor.model.Decorator;
import dev.patientharbor.model.Durations;
import dev.patientharbor.model.With;
import dev.patientharbor.model.Written;
import java.time.DateTimeException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Reads decorators: classes by name, with values or without, and built-in ones. */
final class WrapperReader {

    /** The built-in ones that are told something. */
    static final List<String> WORDS = List.of("delay", "fail");

    private static final String WANTED =
            "a decorator class, { class: CLASS, with: … }, spy, { delay: TIME }, { fail: … }, or a"
                    + " list of them";

    private WrapperReader() {}

    static List<Decorator> read(Piece list) {
        List<Decorator> all = new ArrayList<>();
        for (Piece one : list.isText() || list.isFields() ? List.of(list) : list.items(WANTED)) {
            (one.isFields() ? told(one) : named(one)).ifPresent(all::add);
        }
        return all;
    }

    private static Optional<Decorator> named(Piece one) {
        Optional<Written> name = one.text(WANTED);
        if (name.filter(word -> WORDS.contains(word.text())).isPresent()) {
            String word = name.get().text();
            one.faults()
                    .malformed(
                            one.at(),
                            "Nothing is said of the " + word + ".",
                            word.equals("delay")
                                    ? "write { delay: 200ms }"
                                    : "write { fail: { every: 3 } }");
            return Optional.empty();
        }
        return name.map(
                word ->
                        word.text().equals("spy")
                                ? Decorator.builtIn(word, new BuiltIn.Spy())
                                : Decorator.ofClass(word));
    }

    private static Optional<Decorator> told(Piece one) {
        Fields fields = one.fields("a decorator");
        if (fields.has("class")) {
            Optional<Written> name = fields.take("class").flatMap(it -> it.text("a class"));
            With with = BindingReader.with(fields);
            Optional<List<String>> constructor = BindingReader.constructor(fields);
            fields.tellUnknown();
            return name.map(it -> new Decorator(it, Optional.empty(), with, constructor));
        }
        Optional<BuiltIn> builtIn =
                fields.take("delay")
                        .flatMap(time -> delay(time))
                        .or(() -> fields.take("fail").flatMap(WrapperReader::fail));
        if (!fields.has("delay") && !fields.has("fail")) {
            fields.take("fail");
        }
        fields.tellUnknown();
        return builtIn.map(it -> Decorator.builtIn(new Written(it.name(), one.at()), it));
    }

    private static Optional<BuiltIn> delay(Piece time) {
        return number(time, "a time, as 200ms, 5s or PT0.2S", Durations::parse)
                .map(BuiltIn.Delay::new);
    }

    private static Optional<BuiltIn> fail(Piece piece) {
        Fields fields = piece.fields("what fails");
        Optional<When> when =
                fields.take("every")
                        .flatMap(
                                one ->
                                        number(
                                                one,
                                                "a whole number from 1",
                                                text -> new When.Every(Integer.parseInt(text))));
        long seed =
                fields.take("seed")
                        .flatMap(one -> number(one, "a whole number", Long::parseLong))
                        .orElse(0L);
        Optional<When> rate =
                fields.take("rate")
                        .flatMap(
                                one ->
                                        number(
                                                one,
                                                "a number between 0 and 1",
                                                text ->
                                                        new When.Rate(
                                                                Double.parseDouble(text), seed)));
        Optional<Written> with = fields.take("with").flatMap(one -> one.text("an exception"));
        Optional<Written> saying = fields.take("saying").flatMap(one -> one.text("a message"));
        fields.tellUnknown();
        if (fields.has("every") == fields.has("rate")) {
            piece.faults()
                    .malformed(
                            piece.at(),
                            "Which calls fail is "
                                    + (when.isPresent() ? "said twice." : "not said."),
                            "write every: 3, or rate: 0.1 with a seed");
            return Optional.empty();
        }
        return when.or(() -> rate)
                .map(
                        one ->
                                new BuiltIn.Fail(
                                        one,
                                        with.orElse(new Written(BuiltIn.Fail.USUAL, piece.at())),
                                        saying.map(Written::text)));
    }

    private static <T> Optional<T> number(Piece piece, String wanted, Function<String, T> parsing) {
        Optional<Written> text = piece.text(wanted);
        try {
            return text.map(one -> parsing.apply(one.text()));
        } catch (IllegalArgumentException | DateTimeException | ArithmeticException unfit) {
            piece.faults()
                    .malformed(
                            piece.at(),
                            "Here should stand "
                                    + wanted
                                    + ", and there is "
                                    + text.get().text()
                                    + ".",
                            "write " + wanted);
            return Optional.empty();
        }
    }
}
