package dev.patientharbor.profiles;

import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.assembly.DecoratorLayer;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.LevelStatements;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.SupplyForm;
import dev.patientharbor.plan.Answer.Seat;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.NearNames;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** One slot of a plan that is to be filled otherwise, at every level at which it is filled. */
final class Swap {

    private final Plan plan;
    private final Slot slot;
    private final Set<String> within = new LinkedHashSet<>();

    private Swap(Plan plan, Slot slot) {
        this.plan = plan;
        this.slot = slot;
    }

    /**
     * @throws IllegalArgumentException if the plan has no such slot
     */
    static Swap of(Plan plan, Slot written) {
        List<Slot> meant = plan.assembly().meantBy(written);
        if (meant.size() != 1) {
            List<String> near =
                    NearNames.of(
                            shortText(written),
                            plan.slots().stream().map(Swap::shortText).toList());
            throw new IllegalArgumentException(
                    "nothing asks for "
                            + shortText(written)
                            + " in "
                            + plan.profile()
                            + (near.isEmpty() ? "" : "; near: " + String.join(", ", near)));
        }
        Swap swap = new Swap(plan, meant.get(0));
        plan.assembly().parts().stream()
                .map(AssemblyPart::seat)
                .filter(seat -> seat.slot().equals(swap.slot))
                .map(Seat::within)
                .flatMap(Optional::stream)
                .forEach(swap.within::add);
        return swap;
    }

    /** The slot of the plan that is meant. */
    Slot slot() {
        return slot;
    }

    private static String shortText(Slot slot) {
        return slot.text().replaceAll("[\\w.]+[.$](?=\\w)", "");
    }

    Plan apply(Binding binding, NameCollector names) {
        ChangedProfile changed =
                new ChangedProfile(plan, plan.profile() + ", " + shortText(slot) + " swapped");
        LevelStatements statements = new LevelStatements(List.of(binding), List.of(), List.of());
        changed.addWhole(statements);
        boolean oneMock =
                binding.supply().form() == SupplyForm.MOCK
                        && within.stream().allMatch(place -> layers(place).equals(layers("")));
        LevelStatements narrower =
                oneMock
                        ? new LevelStatements(
                                List.of(fromNextLevelOut(binding)), List.of(), List.of())
                        : statements;
        within.forEach(place -> changed.within(new WrittenName(place, binding.at()), narrower));
        return changed.set(names).plan(changed.name());
    }

    /** Whatever fills the slot at the next level out. */
    private Binding fromNextLevelOut(Binding binding) {
        return new Binding(
                slot,
                new Supply.SameAs(slot),
                binding.with(),
                Optional.empty(),
                false,
                Optional.empty(),
                binding.grounds(),
                binding.at());
    }

    /** What is around the object at a level; blank for the whole profile. */
    private List<DecoratorLayer> layers(String place) {
        return plan.assembly().parts().stream()
                .filter(part -> part.seat().slot().equals(slot))
                .filter(part -> part.seat().within().orElse("").equals(place))
                .flatMap(part -> part.made().stream())
                .flatMap(made -> made.layers().stream())
                .toList();
    }
}
