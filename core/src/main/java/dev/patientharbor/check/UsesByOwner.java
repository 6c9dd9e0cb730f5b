package dev.patientharbor.check;

import dev.patientharbor.resolve.ResolvedBinding;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.resolve.Wiring;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Which bindings are made use of: asked of the profiles alone that inherit what their owner says.
 */
final class UsesByOwner {

    private final ResolvedSet set;
    private final Reporter reporter;
    private final Map<Wiring, Uses> uses = new HashMap<>();
    private final Map<Integer, List<Uses>> byOwner = new HashMap<>();

    UsesByOwner(ResolvedSet set, Reporter reporter) {
        this.set = set;
        this.reporter = reporter;
    }

    boolean isUsed(ResolvedBinding binding) {
        List<Uses> all = byOwner.get(binding.owner());
        if (all == null) {
            all = new ArrayList<>();
            for (Wiring wiring : reporter.heirs(set.profile(binding.owner()))) {
                all.add(uses.computeIfAbsent(wiring, one -> new Uses(set, one)));
            }
            byOwner.put(binding.owner(), all);
        }
        for (Uses one : all) {
            if (one.has(binding)) {
                return true;
            }
        }
        return false;
    }
}
