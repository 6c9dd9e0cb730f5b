package dev.patientharbor.rules;

import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.surveying.ObjectMaker;
import dev.patientharbor.surveying.TouchFinder;
import dev.patientharbor.surveying.TouchTable;
import dev.patientharbor.wiring.SlotOutcome;
import dev.patientharbor.wiring.Wiring;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Tells what the plans of a set hold that reaches outside. Bodies are read when the first one asks.
 * For one thread.
 */
public final class PlanTouches {

    private final ResolvedSet set;
    private Map<ObjectMaker, List<Touch>> byMaker;

    public PlanTouches(ResolvedSet set) {
        this.set = set;
    }

    /** Returns what a plan holds that reaches something, by what makes it: {@code CLASS#METHOD}. */
    public SortedMap<String, List<Touch>> in(Wiring wiring) {
        SortedMap<String, List<Touch>> found = new TreeMap<>();
        for (int i = 0; i < wiring.reachedSize(); i++) {
            makers(wiring.outcome(wiring.reached(i)))
                    .filter(maker -> !of(maker).isEmpty())
                    .forEach(maker -> found.put(maker.maker(), of(maker)));
        }
        return found;
    }

    /** Returns what a class, or a factory, of a plan reaches. */
    List<Touch> of(Blueprint blueprint) {
        if (byMaker == null) {
            Set<ObjectMaker> makers = new HashSet<>();
            set.eachDistinctSeat(
                    (wiring, seat) ->
                            makers(wiring.outcome(seat)).forEach(each -> makers.add(maker(each))));
            byMaker =
                    new TouchFinder(
                                    set.code(),
                                    TouchTable.ofJdk().with(set.declared().marks().touchPatterns()))
                            .ofMakers(makers);
        }
        return byMaker.getOrDefault(maker(blueprint), List.of());
    }

    /** Returns what makes the object in a seat, and what is around it. */
    static Stream<Blueprint> makers(SlotOutcome outcome) {
        return Stream.concat(
                outcome.blueprint().stream(),
                outcome.decorators().stream()
                        .map(ResolvedDecorator::blueprint)
                        .flatMap(Optional::stream));
    }

    private static ObjectMaker maker(Blueprint blueprint) {
        return ObjectMaker.of(
                blueprint.maker(),
                blueprint.executable(),
                blueprint.handsOut().map(type -> type.name()));
    }
}
