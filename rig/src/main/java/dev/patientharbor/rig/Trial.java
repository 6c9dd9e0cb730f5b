package dev.patientharbor.rig;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Makes everything once, and closes it. */
final class Trial {

    private Trial() {}

    /** Each thing that could not be made or closed, once, whatever asked for it. */
    static List<RigException> of(Live live) {
        Map<String, RigException> failures = new LinkedHashMap<>();
        try (Rig rig = new Rig(live);
                Scope scope = rig.openScope()) {
            for (Station station : new ArrayList<>(live.stations().all())) {
                if (station instanceof MadeStation made && made.standsForObject()) {
                    try {
                        made.get(scope.surroundings());
                    } catch (RigException failure) {
                        failures.putIfAbsent(failure.what(), failure);
                    }
                }
            }
        } catch (RigException notClosed) {
            failures.putIfAbsent(notClosed.what(), notClosed);
        }
        return List.copyOf(failures.values());
    }
}
