package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.MarkFault;
import dev.patientharbor.needs.MarkFault.Reason;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.wiring.SlotOutcome;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;

/**
 * Reports marks of the open standard, on classes in use, that cannot be meant so or say nothing.
 */
final class MarkRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        Set<Blueprint> seen = Collections.newSetFromMap(new IdentityHashMap<>());
        context.set()
                .eachDistinctSeat(
                        (wiring, seat) -> {
                            SlotOutcome outcome = wiring.outcome(seat);
                            outcome.blueprint()
                                    .ifPresent(blueprint -> check(context, blueprint, seen));
                            for (ResolvedDecorator decorator : outcome.decorators()) {
                                decorator
                                        .blueprint()
                                        .ifPresent(blueprint -> check(context, blueprint, seen));
                            }
                        });
    }

    private static void check(RuleContext context, Blueprint blueprint, Set<Blueprint> seen) {
        FindingReporter reporter = context.reporter();
        if (!seen.add(blueprint)) {
            return;
        }
        for (MarkFault fault : context.set().markFaults(blueprint)) {
            String place = fault.at().match(in -> "", in -> in.member(), in -> "");
            String name = context.set().names().shortName(blueprint.className());
            String where = place.isEmpty() ? name : name + " (" + place + ")";
            reporter.report(
                    Finding.of(
                                    FindingKinds.MARK_UNFIT,
                                    fault.at(),
                                    List.of(
                                            blueprint.className(),
                                            place,
                                            fault.reason().toString()),
                                    where + message(fault.reason()))
                            .with("so", consequence(fault.reason()))
                            .with("do", remedy(fault.reason())));
        }
    }

    private static String message(Reason reason) {
        return switch (reason) {
            case BLANK_NAME -> " has a blank @Named.";
            case TWO_KEYS -> " has more than one name or qualifier; it may have one.";
            case TWO_SCOPES -> " has more than one scope mark; it may have one.";
            case FINAL_FIELD -> " is final, and marked @Inject: it is set once, by its own class.";
            case TYPE_PARAMETERS -> " is marked @Inject and has type parameters; it may have none.";
        };
    }

    private static String consequence(Reason reason) {
        return switch (reason) {
            case BLANK_NAME -> "a blank name is no key: the plain slot is asked for";
            case TWO_KEYS, TWO_SCOPES -> "the first one holds";
            case FINAL_FIELD -> "what is put there may not be seen";
            case TYPE_PARAMETERS -> "these are taken for what their bounds allow";
        };
    }

    private static String remedy(Reason reason) {
        return switch (reason) {
            case BLANK_NAME -> "give the name, or take @Named out";
            case TWO_KEYS, TWO_SCOPES -> "leave one";
            case FINAL_FIELD -> "take final out, or ask for it in the constructor";
            case TYPE_PARAMETERS -> "take the type parameters out";
        };
    }
}
