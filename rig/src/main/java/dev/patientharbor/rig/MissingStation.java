package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import java.util.List;

/** Stands where nothing can be made. */
final class MissingStation extends ObjectStation {

    private final String profile;

    private MissingStation(AssemblyPart part, String profile) {
        super(part);
        this.profile = profile;
    }

    static ObjectStation of(AssemblyPart part, String profile) {
        return new MissingStation(part, profile);
    }

    @Override
    Object get(InstanceStore at) {
        throw new RigException(
                slot()
                        + " cannot be made in "
                        + profile
                        + (((AssemblyPart.Missing) part()).onPurpose()
                                ? ": it is bound to none"
                                : ": it is bound, but no entry consumer leads to it, and what it"
                                        + " needs is not all there"));
    }

    @Override
    List<ObjectStation> asks() {
        return List.of();
    }
}
