package dev.patientharbor.tracing;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.tracing.TracedValue.Comparison;
import dev.patientharbor.tracing.TracedValue.Constant;
import dev.patientharbor.tracing.TracedValue.Setting;
import dev.patientharbor.tracing.TracedValue.Unknown;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntSupplier;

/** What methods of the JDK yield that wiring uses for values, settings and collections. */
final class JdkCalls {

    /** Methods that make a value of one text or number: a profile writes that text. */
    private static final Set<String> CONVERTING =
            Set.of(
                    "java.lang.Integer.valueOf",
                    "java.lang.Integer.parseInt",
                    "java.lang.Long.valueOf",
                    "java.lang.Long.parseLong",
                    "java.lang.Double.valueOf",
                    "java.lang.Double.parseDouble",
                    "java.lang.Float.valueOf",
                    "java.lang.Short.valueOf",
                    "java.lang.Byte.valueOf",
                    "java.lang.Boolean.valueOf",
                    "java.lang.Boolean.parseBoolean",
                    "java.lang.Character.valueOf",
                    "java.lang.String.valueOf",
                    "java.time.Duration.parse",
                    "java.time.Instant.parse",
                    "java.time.LocalDate.parse",
                    "java.net.URI.create");

    private static final Set<String> COLLECTIONS =
            Set.of(
                    "java.util.List",
                    "java.util.Set",
                    "java.util.Map",
                    "java.util.Optional",
                    "java.util.Collections",
                    "java.util.Arrays");

    private final IntSupplier line;

    JdkCalls(IntSupplier line) {
        this.line = line;
    }

    /** Returns what a call yields, if it is one that is known here. */
    Optional<TracedValue> call(MethodName called, boolean isStatic, List<TracedValue> values) {
        return isStatic
                ? callStatic(called, values)
                : callOn(called, values.get(0), values.subList(1, values.size()));
    }

    private Optional<TracedValue> callStatic(MethodName called, List<TracedValue> arguments) {
        String text = called.owner() + '.' + called.name();
        if (COLLECTIONS.contains(called.owner())) {
            return JdkCollections.of(called, arguments);
        }
        if (CONVERTING.contains(text) && arguments.size() == 1) {
            return Optional.of(TextMeaning.seen(called, arguments).get(0))
                    .filter(value -> isWhole(called, value));
        }
        return switch (text) {
            case "java.nio.file.Path.of", "java.nio.file.Paths.get" -> path(arguments);
            case "java.util.Objects.requireNonNull" -> Optional.of(arguments.get(0));
            case "java.util.Objects.requireNonNullElse" ->
                    arguments.get(0).isNothing()
                            ? Optional.of(arguments.get(1))
                            : Optional.of(arguments.get(0))
                                    .filter(value -> value.unknown().isEmpty())
                                    .filter(JdkCalls::isThere);
            case "java.lang.System.getenv", "java.lang.System.getProperty" -> setting(arguments);
            default ->
                    called.owner().equals("java.time.Duration")
                            ? duration(called.name(), arguments)
                            : Optional.empty();
        };
    }

    /** A setting may be missing when it is asked for. */
    private static boolean isThere(TracedValue value) {
        return value.written().isEmpty() || value.constant().isPresent();
    }

    /** What is no text becomes one by a method of its own, which is not followed. */
    private static boolean isWhole(MethodName called, TracedValue value) {
        boolean isText = called.owner().equals("java.lang.String");
        return !isText || value.written().isPresent();
    }

    private static Optional<TracedValue> path(List<TracedValue> arguments) {
        Optional<TracedCollection> more =
                arguments.stream().skip(1).findFirst().flatMap(TracedValue::collection);
        if (more.filter(rest -> rest.beyond().isPresent()).isPresent()) {
            return Optional.empty();
        }
        List<TracedValue> rest = more.map(TracedCollection::values).orElse(List.of());
        if (rest.isEmpty()) {
            return Optional.of(arguments.get(0)).filter(value -> value.written().isPresent());
        }
        String[] names =
                rest.stream()
                        .flatMap(value -> value.constant().stream())
                        .map(Object::toString)
                        .toArray(String[]::new);
        return arguments
                .get(0)
                .constant()
                .filter(first -> names.length == rest.size())
                .map(first -> new Constant(Path.of(first.toString(), names).toString()));
    }

    private static Optional<TracedValue> setting(List<TracedValue> arguments) {
        Optional<Object> name = arguments.stream().findFirst().flatMap(TracedValue::constant);
        Optional<String> otherwise =
                arguments.stream().skip(1).findFirst().flatMap(TracedValue::written);
        boolean isWhole = arguments.size() == 1 || otherwise.isPresent();
        return name.filter(text -> isWhole && text.toString().matches("[\\w.-]+"))
                .map(
                        text ->
                                new Setting(
                                        "${"
                                                + text
                                                + otherwise.map(value -> ":-" + value).orElse("")
                                                + '}'));
    }

    private static Optional<TracedValue> duration(String name, List<TracedValue> arguments) {
        Optional<Long> amount =
                arguments.stream()
                        .findFirst()
                        .flatMap(TracedValue::constant)
                        .filter(Number.class::isInstance)
                        .map(number -> ((Number) number).longValue());
        return amount.filter(number -> arguments.size() == 1)
                .flatMap(number -> duration(name, number))
                .map(length -> new Constant(length.toString()));
    }

    private static Optional<Duration> duration(String name, long amount) {
        return switch (name) {
            case "ofNanos" -> Optional.of(Duration.ofNanos(amount));
            case "ofMillis" -> Optional.of(Duration.ofMillis(amount));
            case "ofSeconds" -> Optional.of(Duration.ofSeconds(amount));
            case "ofMinutes" -> Optional.of(Duration.ofMinutes(amount));
            case "ofHours" -> Optional.of(Duration.ofHours(amount));
            case "ofDays" -> Optional.of(Duration.ofDays(amount));
            default -> Optional.empty();
        };
    }

    private Optional<TracedValue> callOn(
            MethodName called, TracedValue receiver, List<TracedValue> arguments) {
        String name = called.name();
        boolean isOfJdk = called.owner().startsWith("java.");
        Optional<TracedCollection> collection = receiver.collection();
        if (collection.isPresent() && isOfJdk) {
            return JdkCollections.call(
                    name, collection.get(), TextMeaning.seen(called, arguments), line.getAsInt());
        }
        Optional<TracedValue.Lambda> lambda = receiver.lambda();
        if (lambda.isPresent() && name.equals("get") && arguments.isEmpty()) {
            return lambda.get().yielded().get();
        }
        if (!isOfJdk || receiver.object().isPresent()) {
            return Optional.empty();
        }
        if (name.endsWith("Value") && arguments.isEmpty()) {
            return Optional.of(receiver);
        }
        boolean isText = called.owner().equals("java.lang.String");
        return switch (name) {
            case "equals", "equalsIgnoreCase", "contentEquals" ->
                    Optional.of(equal(receiver, arguments.get(0), name));
            case "hashCode" ->
                    receiver.constant()
                            .filter(String.class::isInstance)
                            .<TracedValue>map(text -> new Constant(text.hashCode()))
                            .or(
                                    () ->
                                            Optional.of(
                                                    new Unknown(
                                                            InstructionMeaning.HASH
                                                                    + what(receiver),
                                                            line.getAsInt(),
                                                            Optional.empty())));
            case "toString", "trim", "strip", "toLowerCase", "toUpperCase" ->
                    isText ? text(name, receiver) : Optional.empty();
            case "isEmpty" ->
                    receiver.constant()
                            .filter(String.class::isInstance)
                            .map(text -> new Constant(text.toString().isEmpty() ? 1 : 0));
            default -> Optional.empty();
        };
    }

    private static Optional<TracedValue> text(String name, TracedValue receiver) {
        Optional<Object> constant = receiver.constant();
        if (constant.isEmpty()) {
            return name.endsWith("Case") ? Optional.empty() : Optional.of(receiver);
        }
        String text = constant.get().toString();
        return Optional.of(
                new Constant(
                        switch (name) {
                            case "trim", "strip" -> text.strip();
                            case "toLowerCase" -> text.toLowerCase(Locale.ROOT);
                            case "toUpperCase" -> text.toUpperCase(Locale.ROOT);
                            default -> text;
                        }));
    }

    private TracedValue equal(TracedValue one, TracedValue other, String name) {
        Optional<Object> first = one.constant();
        Optional<Object> second = other.constant();
        if (first.isPresent() && second.isPresent()) {
            boolean isEqual =
                    name.equals("equalsIgnoreCase")
                            ? first.get().toString().equalsIgnoreCase(second.get().toString())
                            : first.equals(second);
            return new Constant(isEqual ? 1 : 0);
        }
        Optional<Comparison> comparison =
                second.map(constant -> new Comparison(what(one), constant.toString()))
                        .or(
                                () ->
                                        first.map(
                                                constant ->
                                                        new Comparison(
                                                                what(other), constant.toString())));
        return new Unknown("whether two are equal", line.getAsInt(), comparison);
    }

    /** Returns what a value is, in words. */
    static String what(TracedValue value) {
        return value.unknown()
                .map(Unknown::what)
                .or(() -> value.written().map(text -> text.replaceAll("[${}]", "")))
                .orElse("a value");
    }
}
