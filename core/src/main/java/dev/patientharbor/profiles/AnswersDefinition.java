package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.CannedMethod;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Says the canned answers of a stub. The first case of a method that fits a call answers it.
 *
 * <pre>{@code
 * SupplyDefinition frozen =
 *         answers(
 *                 gauge -> {
 *                     gauge.call("levelNow").answers(2.40);
 *                     gauge.call("forecast", 3).answers(List.of(2.4, 2.9, 3.1));
 *                     gauge.call("forecast").fails(IllegalStateException.class, "frozen");
 *                 });
 * ProfileSet port =
 *         ProfileSet.define(
 *                 "port",
 *                 set -> {
 *                     set.entry(CraneShed.class);
 *                     set.profile(
 *                             "winter",
 *                             winter -> {
 *                                 winter.fill(TideGauge.class, frozen);
 *                                 winter.fill(PilotRota.class, mock());
 *                             });
 *                 });
 * port.check().requireComplete();
 * }</pre>
 */
public final class AnswersDefinition {

    private final NameCollector names;
    private final SourcePosition at;
    private final Map<String, ArrayList<CannedMethod.Case>> cases = new LinkedHashMap<>();

    AnswersDefinition(NameCollector names, SourcePosition at) {
        this.names = names;
        this.at = at;
    }

    /** Begins the answers to every call of a method, whatever its arguments. */
    public Call call(String method) {
        RequiredArgument.of(method, "method");
        return new Call(method, Optional.empty());
    }

    /**
     * Begins the answers to the calls of a method with these arguments, each as {@link
     * SupplyDefinition#with} takes it.
     */
    public Call call(String method, Object... arguments) {
        RequiredArgument.of(method, "method");
        RequiredArgument.each(arguments, "arguments");
        return new Call(
                method,
                Optional.of(
                        Arrays.stream(arguments)
                                .map(argument -> GivenValueMaker.of(argument, at))
                                .toList()));
    }

    /** Says how some calls are answered. */
    public final class Call {
        private final String method;
        private final Optional<List<GivenValue>> given;

        private Call(String method, Optional<List<GivenValue>> given) {
            this.method = method;
            this.given = given;
        }

        /**
         * Answers with one value for ever, or with several, one after the other, the last one from
         * then on.
         */
        public void answers(Object first, Object... next) {
            RequiredArgument.of(first, "first");
            RequiredArgument.each(next, "next");
            List<GivenValue> all =
                    Stream.concat(Stream.of(first), Arrays.stream(next))
                            .map(value -> GivenValueMaker.of(value, at))
                            .toList();
            add(new CannedMethod.Response.Answers(all));
        }

        /** Fails with an exception of that message. */
        public void fails(Class<? extends Throwable> type, String saying) {
            add(
                    new CannedMethod.Response.Fails(
                            names.written(type, at), Optional.of(new WrittenName(saying, at))));
        }

        private void add(CannedMethod.Response response) {
            cases.computeIfAbsent(method, name -> new ArrayList<>())
                    .add(new CannedMethod.Case(given, response, at));
        }
    }

    List<CannedMethod> canned() {
        return cases.entrySet().stream()
                .map(
                        entry ->
                                new CannedMethod(
                                        new WrittenName(entry.getKey(), at), entry.getValue()))
                .toList();
    }
}
