package dev.patientharbor.rules;

import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.declared.ResolvedConsumer;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.BuildFault;
import dev.patientharbor.needs.Need;
import dev.patientharbor.plan.PassedParameter;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.NearNames;
import java.util.ArrayList;
import java.util.List;

/** Reports stated consumers that name no class or no method, or parameters that are not there. */
final class ConsumerRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        FindingReporter reporter = context.reporter();
        for (ResolvedConsumer consumer : context.set().consumers()) {
            for (NameLookup name : consumer.names()) {
                if (name.facts().isEmpty()) {
                    reporter.report(NamesRule.finding(context.set(), name));
                }
            }
            consumer.blueprint()
                    .flatMap(Blueprint::fault)
                    .ifPresent(fault -> reporter.report(noMethod(consumer, fault)));
            boolean lacksStatics =
                    consumer.declared().match(thing -> false, handler -> false, statics -> true)
                            && consumer.blueprint()
                                    .filter(blueprint -> blueprint.needs().isEmpty())
                                    .isPresent();
            if (lacksStatics) {
                reporter.report(noStatics(consumer.declared().name()));
            }
            for (WrittenName parameter : consumer.unknown()) {
                reporter.report(noParameter(consumer, parameter));
            }
        }
    }

    private static Finding noStatics(WrittenName name) {
        return Finding.of(
                        FindingKinds.HANDLER_UNFIT,
                        name.at(),
                        List.of(name.text(), "statics"),
                        name.text() + " has no static member that is marked @Inject.")
                .with("do", "mark one, or take the line out");
    }

    private static Finding noMethod(ResolvedConsumer consumer, BuildFault fault) {
        WrittenName name = consumer.declared().name();
        int found = fault.constructors().size();
        return Finding.of(
                        FindingKinds.HANDLER_UNFIT,
                        name.at(),
                        name.text(),
                        found == 0
                                ? name.text() + " is no method of that class."
                                : name.text()
                                        + " is the name of "
                                        + found
                                        + " methods, and nothing says which one is meant.")
                .withAny(
                        "did you mean",
                        NearNames.of(
                                method(consumer),
                                consumer.blueprint().orElseThrow().facts().methods().stream()
                                        .map(ExecutableFacts::name)
                                        .filter(other -> !other.equals(method(consumer)))
                                        .distinct()
                                        .toList()))
                .with(
                        "do",
                        "name a method that the class declares itself, whose name no other"
                                + " method has");
    }

    private static String method(ResolvedConsumer consumer) {
        String name = consumer.declared().name().text();
        return name.substring(name.indexOf('#') + 1);
    }

    private static Finding noParameter(ResolvedConsumer consumer, WrittenName parameter) {
        WrittenName name = consumer.declared().name();
        List<String> known = new ArrayList<>();
        consumer.blueprint().stream()
                .flatMap(blueprint -> blueprint.needs().stream())
                .map(Need::name)
                .forEach(known::add);
        consumer.passed().stream().map(PassedParameter::name).forEach(known::add);
        return Finding.of(
                        FindingKinds.HANDLER_UNFIT,
                        parameter.at(),
                        List.of(name.text(), parameter.text()),
                        name.text()
                                + " has no parameter "
                                + parameter.text()
                                + " for its caller to pass.")
                .withAny("did you mean", NearNames.of(parameter.text(), known))
                .withAny("parameters", known)
                .with("do", "correct the name, or take it out");
    }
}
