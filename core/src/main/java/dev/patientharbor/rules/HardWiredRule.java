package dev.patientharbor.rules;

import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.types.Carrier;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Reports consumers in a plan that make or fetch an implementation of a contract by themselves:
 * once for a set, for it is the code that does it, whatever a profile says.
 */
final class HardWiredRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        PlanConsumers reached = new PlanConsumers(context.set());
        HardWirings.of(reached)
                .forEach(
                        (consumer, all) -> {
                            Map<String, List<HardWiring>> byContract = new TreeMap<>();
                            all.forEach(
                                    wiring ->
                                            byContract
                                                    .computeIfAbsent(
                                                            wiring.contract(),
                                                            key -> new ArrayList<>())
                                                    .add(wiring));
                            byContract.forEach(
                                    (contract, places) ->
                                            context.reporter()
                                                    .report(
                                                            finding(
                                                                    context, reached, consumer,
                                                                    contract, places)));
                        });
    }

    private static Finding finding(
            RuleContext context,
            PlanConsumers reached,
            String consumer,
            String contract,
            List<HardWiring> places) {
        FindingWording wording = context.wording();
        String name = wording.shortName(consumer);
        String asks = wording.shortName(contract);
        HardWiring first = places.get(0);
        Optional<ExecutableFacts> other = otherConstructor(context, reached, contract, places);
        Finding told =
                Finding.of(
                                FindingKinds.HARD_WIRED,
                                first.at().position(),
                                List.of(consumer, contract),
                                name
                                        + (first.by().isMade()
                                                ? " makes its own "
                                                : " fetches its own ")
                                        + asks
                                        + ": "
                                        + first.source()
                                        + (other.isPresent()
                                                ? ", in the constructor by which it is made."
                                                        + " Another constructor asks for one."
                                                : ". No profile can put another in its place."))
                        .with("where", places.stream().map(HardWiredRule::where).toList())
                        .withAny("no effect", bindings(context, contract));
        Finding advised =
                other.map(asking -> byOther(context, reached, consumer, asking, told))
                        .orElseGet(
                                () ->
                                        told.with(
                                                "do",
                                                "have "
                                                        + name
                                                        + " ask for a "
                                                        + asks
                                                        + " in its constructor"));
        return advised.touching(List.of(consumer), List.of());
    }

    /** Offers the constructor that asks for what the one in use makes. */
    private static Finding byOther(
            RuleContext context,
            PlanConsumers reached,
            String consumer,
            ExecutableFacts asking,
            Finding told) {
        FindingWording wording = context.wording();
        Finding advised =
                told.with(
                        "do", "have " + wording.shortName(consumer) + " made by that constructor");
        return reached.maker(consumer)
                .map(
                        maker ->
                                wording.withConstructor(
                                        advised,
                                        maker.binding(),
                                        wording.toWrite(context.set().slots().slot(maker.seat()))
                                                + ": ",
                                        consumer,
                                        asking,
                                        maker.binding().isPresent()
                                                ? "in place of its binding"
                                                : "under "
                                                        + maker.wiring().profile().declared().name()
                                                        + " › bindings"))
                .orElse(advised);
    }

    /** A constructor that asks for the contract, and with which none of the places is left. */
    private static Optional<ExecutableFacts> otherConstructor(
            RuleContext context, PlanConsumers reached, String contract, List<HardWiring> places) {
        String consumer = places.get(0).consumer();
        Optional<Set<List<String>>> used = reached.constructors(consumer);
        return used.isEmpty()
                ? Optional.empty()
                : context.set().code().find(consumer).stream()
                        .flatMap(facts -> facts.constructors().stream())
                        .filter(each -> !each.isPrivate())
                        .filter(each -> !used.get().contains(each.erasedParameterTypes()))
                        .filter(each -> asksFor(each, contract))
                        .filter(
                                each ->
                                        reached.finder(consumer, each).in(consumer).stream()
                                                .noneMatch(places::contains))
                        .findFirst();
    }

    private static boolean asksFor(ExecutableFacts constructor, String contract) {
        return constructor.parameterTypes().stream()
                .map(Carrier::innermost)
                .map(SlotTable::className)
                .anyMatch(contract::equals);
    }

    private static String where(HardWiring wiring) {
        return wiring.at().text() + ", " + wiring.at().member() + ": " + wiring.source();
    }

    /** What profiles say of the contract, which the consumer never meets at that place. */
    private static List<String> bindings(RuleContext context, String contract) {
        ResolvedSet set = context.set();
        return set.bindings()
                .filter(
                        binding ->
                                binding.slot()
                                        .map(set::content)
                                        .map(SlotTable::className)
                                        .filter(contract::equals)
                                        .isPresent())
                .map(binding -> text(context, binding))
                .distinct()
                .toList();
    }

    private static String text(RuleContext context, ResolvedBinding binding) {
        return context.set().text(binding.slot().orElseThrow())
                + ": "
                + context.wording().supply(binding)
                + " ("
                + context.set().profile(binding.owner()).declared().name()
                + ")";
    }
}
