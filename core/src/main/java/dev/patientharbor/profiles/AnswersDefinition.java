package dev.patientharbor.profiles;

import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Canned;
import dev.patientharbor.model.Given;
import dev.patientharbor.model.Written;
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
 * Filling frozen =
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

    private final Names names;
    private final Where at;
    private final Map<String, ArrayList<Canned.Case>> cases = new LinkedHashMap<>();

    AnswersDefinition(Names names, Where at) {
        this.names = names;
        this.at = at;
    }

    /** Every call of a method, whatever its arguments. */
    public Call call(String method) {
        return new Call(method, Optional.empty());
    }

    /** Calls of a method with these arguments, each as {@link Filling#with} takes it. */
    public Call call(String method, Object... arguments) {
        return new Call(
                method,
                Optional.of(Arrays.stream(arguments).map(one -> GivenValues.of(one, at)).toList()));
    }

    /** Calls that are to be answered. */
    public final class Call {
        private final String method;
        private final Optional<List<Given>> given;

        private Call(String method, Optional<List<Given>> given) {
            this.method = method;
            this.given = given;
        }

        /** The answer: one for ever, or several, one after the other, the last one from then on. */
        public void answers(Object first, Object... next) {
            List<Given> all =
                    Stream.concat(Stream.of(first), Arrays.stream(next))
                            .map(one -> GivenValues.of(one, at))
                            .toList();
            add(new Canned.Response.Answers(all));
        }

        /** Fails with an exception of that message. */
        public void fails(Class<? extends Throwable> type, String saying) {
            add(
                    new Canned.Response.Fails(
                            names.written(type, at), Optional.of(new Written(saying, at))));
        }

        private void add(Canned.Response response) {
            cases.computeIfAbsent(method, name -> new ArrayList<>())
                    .add(new Canned.Case(given, response, at));
        }
    }

    List<Canned> canned() {
        return cases.entrySet().stream()
                .map(one -> new Canned(new Written(one.getKey(), at), one.getValue()))
                .toList();
    }
}
