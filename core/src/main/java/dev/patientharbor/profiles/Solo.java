package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.LevelStatements;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.ShortName;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** One consumer alone, with mocks around it: say what is kept, and it becomes a plan. */
public final class Solo {

    private final Plan plan;
    private final Class<?> consumer;
    private final SourcePosition at;

    Solo(Plan plan, Class<?> consumer, SourcePosition at) {
        this.plan = plan;
        this.consumer = consumer;
        this.at = at;
    }

    /** Returns the plan in which everything that the consumer needs is a mock. */
    public Plan keepingNothing() {
        return keeping();
    }

    /**
     * Returns the plan in which some contracts are filled as the profile says, whatever their key,
     * and all else that the consumer needs is a mock.
     *
     * @throws IllegalArgumentException if the consumer needs no such contract
     * @throws dev.patientharbor.check.IncompleteProfileException if it cannot be whole so
     */
    public Plan keeping(Class<?>... contracts) {
        RequiredArgument.each(contracts, "contracts");
        Set<String> kept = Arrays.stream(contracts).map(Class::getName).collect(Collectors.toSet());
        NameCollector names = new NameCollector();
        WrittenName only = names.written(consumer, at);
        ChangedProfile alone =
                new ChangedProfile(
                        plan, plan.profile() + ", " + consumer.getSimpleName() + " solo");
        alone.entry(only);
        Set<Slot> needed = new LinkedHashSet<>();
        for (RosterRow row : alone.set(names).check().roster(alone.name()).rows()) {
            if (row.consumer().equals(consumer.getName())) {
                needed.addAll(slots(row));
            }
        }
        for (String one : kept) {
            if (needed.stream().noneMatch(slot -> className(slot).equals(one))) {
                throw new IllegalArgumentException(
                        consumer.getName()
                                + " does not need "
                                + one
                                + "; it needs "
                                + needed.stream()
                                        .map(slot -> slot.text(ShortName::of))
                                        .collect(Collectors.joining(", ")));
            }
        }
        List<Binding> mocks =
                needed.stream()
                        .filter(slot -> !kept.contains(className(slot)))
                        .map(slot -> Supplies.mock().binding(slot, names, at))
                        .toList();
        alone.within(only, new LevelStatements(mocks, List.of(), List.of()));
        return alone.set(names).plan(alone.name());
    }

    private static List<Slot> slots(RosterRow row) {
        if (row.answer().kind() == AnswerKind.COLLECTION) {
            return row.answer().elements().stream()
                    .map(Answer.Element::key)
                    .map(key -> new Slot(row.slot().contract(), key))
                    .toList();
        }
        return row.answer().kind() == AnswerKind.VALUE ? List.of() : List.of(row.slot());
    }

    private static String className(Slot slot) {
        return slot.contract() instanceof ClassType type ? type.name() : slot.contract().text();
    }
}
