package dev.patientharbor.rig;

import dev.patientharbor.assembly.Assembly;

/** A rig of an assembly that no set of profiles stands behind, for tests of other packages. */
public final class AssembledRig {

    private AssembledRig() {}

    public static Rig of(Assembly assembly, ClassLoader loader) {
        return Rigs.build(assembly, loader);
    }
}
