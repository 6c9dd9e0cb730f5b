package dev.patientharbor.notation;

import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.model.BuiltIn.When;
import dev.patientharbor.model.Decorator;
import dev.patientharbor.model.DurationText;
import dev.patientharbor.model.GivenArguments;
import dev.patientharbor.terms.WrittenName;
import java.time.DateTimeException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Reads decorators: classes by name, with values or without, and built-in ones. */
final class DecoratorReader {

    /** The built-in decorators that take values. */
    static final List<String> WORDS = List.of("delay", "fail");

    private static final String WANTED =
            "a decorator class, { class: CLASS, with: … }, spy, { delay: TIME }, { fail: … }, or a"
                    + " list of them";

    private DecoratorReader() {}

    static List<Decorator> read(YamlNode list) {
        List<Decorator> all = new ArrayList<>();
        for (YamlNode node :
                list.isText() || list.isFields() ? List.of(list) : list.items(WANTED)) {
            (node.isFields() ? fromMap(node) : named(node)).ifPresent(all::add);
        }
        return all;
    }

    private static Optional<Decorator> named(YamlNode node) {
        Optional<WrittenName> name = node.text(WANTED);
        if (name.filter(word -> WORDS.contains(word.text())).isPresent()) {
            String word = name.get().text();
            node.faults()
                    .malformed(
                            node.at(),
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

    private static Optional<Decorator> fromMap(YamlNode node) {
        YamlMap map = node.fields("a decorator");
        if (map.has("class")) {
            Optional<WrittenName> name = map.take("class").flatMap(it -> it.text("a class"));
            GivenArguments with = BindingReader.with(map);
            Optional<List<String>> constructor = BindingReader.constructor(map);
            map.reportUnknownKeys();
            return name.map(it -> new Decorator(it, Optional.empty(), with, constructor));
        }
        Optional<BuiltIn> builtIn =
                map.take("delay")
                        .flatMap(time -> delay(time))
                        .or(() -> map.take("fail").flatMap(DecoratorReader::fail));
        if (!map.has("delay") && !map.has("fail")) {
            map.take("fail");
        }
        map.reportUnknownKeys();
        return builtIn.map(it -> Decorator.builtIn(new WrittenName(it.name(), node.at()), it));
    }

    private static Optional<BuiltIn> delay(YamlNode time) {
        return number(time, "a time, as 200ms, 5s or PT0.2S", DurationText::parse)
                .map(BuiltIn.Delay::new);
    }

    private static Optional<BuiltIn> fail(YamlNode node) {
        YamlMap map = node.fields("what fails");
        Optional<When> when =
                map.take("every")
                        .flatMap(
                                value ->
                                        number(
                                                value,
                                                "a whole number from 1",
                                                text -> new When.Every(Integer.parseInt(text))));
        long seed =
                map.take("seed")
                        .flatMap(value -> number(value, "a whole number", Long::parseLong))
                        .orElse(0L);
        Optional<When> rate =
                map.take("rate")
                        .flatMap(
                                value ->
                                        number(
                                                value,
                                                "a number between 0 and 1",
                                                text ->
                                                        new When.Rate(
                                                                Double.parseDouble(text), seed)));
        Optional<WrittenName> with = map.take("with").flatMap(value -> value.text("an exception"));
        Optional<WrittenName> saying = map.take("saying").flatMap(value -> value.text("a message"));
        map.reportUnknownKeys();
        if (map.has("every") == map.has("rate")) {
            node.faults()
                    .malformed(
                            node.at(),
                            when.isPresent()
                                    ? "This decorator says twice which calls fail."
                                    : "This decorator does not say which calls fail.",
                            "write every: 3, or rate: 0.1 with a seed");
            return Optional.empty();
        }
        return when.or(() -> rate)
                .map(
                        condition ->
                                new BuiltIn.Fail(
                                        condition,
                                        with.orElse(new WrittenName(BuiltIn.Fail.USUAL, node.at())),
                                        saying.map(WrittenName::text)));
    }

    private static <T> Optional<T> number(
            YamlNode node, String wanted, Function<String, T> parsing) {
        Optional<WrittenName> text = node.text(wanted);
        try {
            return text.map(name -> parsing.apply(name.text()));
        } catch (IllegalArgumentException | DateTimeException | ArithmeticException unfit) {
            return node.wrong(wanted);
        }
    }
}
