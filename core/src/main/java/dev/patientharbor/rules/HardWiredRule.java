package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.surveying.HardWiredFinder;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.types.ValueTypes;
import dev.patientharbor.wiring.SlotOutcome;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Reports consumers in a plan that make or fetch an implementation of a contract by themselves:
 * once for a set, for it is the code that does it, whatever a profile says.
 */
final class HardWiredRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        Reached reached = new Reached(context.set());
        HardWiredFinder finder = reached.finder();
        Map<String, Map<String, Set<HardWiring>>> found = new TreeMap<>();
        List<String> names = new ArrayList<>(reached.consumers.keySet());
        names.sort(Comparator.naturalOrder());
        for (String name : names) {
            for (HardWiring wiring : finder.in(name)) {
                if (wiring.consumer().equals(name)) {
                    found.computeIfAbsent(name, key -> new TreeMap<>())
                            .computeIfAbsent(
                                    wiring.contract(), key -> new TreeSet<>(HardWiring.ORDER))
                            .add(wiring);
                }
            }
        }
        found.forEach(
                (consumer, byContract) ->
                        byContract.forEach(
                                (contract, places) ->
                                        context.reporter()
                                                .report(
                                                        finding(
                                                                context,
                                                                consumer,
                                                                contract,
                                                                List.copyOf(places)))));
    }

    /** The classes that the plans of a set reach, and what they ask for. */
    private static final class Reached {
        private final ResolvedSet set;
        private final ValueTypes values;
        private final BitSet slots = new BitSet();

        /** By identity: many seats of many profiles are filled from one blueprint. */
        private final Set<Blueprint> added = Collections.newSetFromMap(new IdentityHashMap<>());

        private final Set<String> asked = new HashSet<>();
        private final Set<String> factories = new HashSet<>();
        private final Map<String, List<Blueprint>> consumers = new HashMap<>();

        Reached(ResolvedSet set) {
            this.set = set;
            values = new ValueTypes(set.code());
            set.eachDistinctSeat((wiring, seat) -> add(wiring.outcome(seat)));
            set.bindings().forEach(binding -> binding.slot().ifPresent(this::addSlot));
        }

        private void add(SlotOutcome outcome) {
            outcome.blueprint().ifPresent(this::add);
            for (ResolvedDecorator decorator : outcome.decorators()) {
                decorator.blueprint().ifPresent(this::add);
            }
        }

        private void add(Blueprint blueprint) {
            if (!added.add(blueprint)) {
                return;
            }
            if (blueprint.method().isPresent()) {
                factories.add(blueprint.facts().name() + '#' + blueprint.method().get());
            } else if (set.code().inCode(blueprint.className())) {
                consumers
                        .computeIfAbsent(blueprint.className(), key -> new ArrayList<>(1))
                        .add(blueprint);
            }
            blueprint.needs().forEach(need -> addSlot(need.slot()));
        }

        private void addSlot(int slot) {
            if (!slots.get(slot)) {
                slots.set(slot);
                TypeRef content = set.content(slot);
                if (!values.isValue(content)) {
                    asked.add(SlotTable.className(content));
                }
            }
        }

        HardWiredFinder finder() {
            return new HardWiredFinder(set.code(), asked, factories, this::constructors);
        }

        /** The erased parameter types of the constructors by which a class is made, if one is. */
        private Optional<Set<List<String>>> constructors(String className) {
            Set<List<String>> used = new HashSet<>();
            for (Blueprint blueprint : consumers.getOrDefault(className, List.of())) {
                blueprint
                        .executable()
                        .ifPresent(executable -> used.add(executable.erasedParameterTypes()));
            }
            return used.isEmpty() ? Optional.empty() : Optional.of(used);
        }
    }

    private static Finding finding(
            RuleContext context, String consumer, String contract, List<HardWiring> places) {
        FindingWording wording = context.wording();
        String asks = wording.shortName(contract);
        HardWiring first = places.get(0);
        return Finding.of(
                        FindingKinds.HARD_WIRED,
                        context.set().declared().at(),
                        List.of(consumer, contract),
                        wording.shortName(consumer)
                                + (isMade(first) ? " makes its own " : " fetches its own ")
                                + asks
                                + ": "
                                + first.source()
                                + ". No profile can put another in its place.")
                .with("where", places.stream().map(HardWiredRule::where).toList())
                .withAny("no effect", bindings(context, contract))
                .with(
                        "do",
                        "have "
                                + wording.shortName(consumer)
                                + " ask for a "
                                + asks
                                + " in its constructor")
                .touching(List.of(consumer), List.of());
    }

    private static boolean isMade(HardWiring wiring) {
        return switch (wiring.by()) {
            case CONSTRUCTOR, CLASS_NAME -> true;
            case STATIC_METHOD, STATIC_FIELD, SERVICE -> false;
        };
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
