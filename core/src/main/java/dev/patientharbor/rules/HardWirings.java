package dev.patientharbor.rules;

import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.surveying.HardWiredFinder;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;

/** Tells what the consumers in the plans of a set make or fetch by themselves. */
public final class HardWirings {

    private HardWirings() {}

    /** Returns the places of each consumer that has any, by binary name, in order of place. */
    public static SortedMap<String, List<HardWiring>> of(ResolvedSet set) {
        return of(new PlanConsumers(set));
    }

    static SortedMap<String, List<HardWiring>> of(PlanConsumers consumers) {
        HardWiredFinder finder = consumers.finder();
        SortedMap<String, List<HardWiring>> found = new TreeMap<>();
        for (String name : consumers.names()) {
            for (HardWiring wiring : finder.in(name)) {
                if (wiring.consumer().equals(name)) {
                    found.computeIfAbsent(name, key -> new ArrayList<>()).add(wiring);
                }
            }
        }
        return found;
    }
}
