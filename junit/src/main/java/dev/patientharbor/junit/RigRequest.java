package dev.patientharbor.junit;

import dev.patientharbor.plan.Roster;
import dev.patientharbor.rig.Rig;
import java.lang.reflect.Type;
import java.util.Optional;

/** What a field or a parameter asks a rig for: an object of it, the rig itself, or its roster. */
final class RigRequest {

    private RigRequest() {}

    static Object of(Rig rig, Type type, Optional<String> key) {
        if (type == Rig.class) {
            return rig;
        }
        return type == Roster.class ? rig.roster() : rig.get(type, key);
    }
}
