package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.model.BuiltIn;
import java.util.List;

/** A decorator that is built in. */
final class BuiltInLayer implements LayerMaker {

    private final BuiltIn builtIn;
    private final Class<?> contract;
    private final AssemblyPart.Made around;
    private final int layer;
    private final String target;

    /**
     * @param around the part whose object it stands around
     * @param layer its number among the layers, outermost first
     * @param target what it stands around, as people call it
     */
    BuiltInLayer(
            BuiltIn builtIn,
            Class<?> contract,
            AssemblyPart.Made around,
            int layer,
            String target) {
        this.builtIn = builtIn;
        this.contract = contract;
        this.around = around;
        this.layer = layer;
        this.target = target;
    }

    @Override
    public CoreMaker around(Object inner) {
        return new CoreMaker() {
            @Override
            public Object make(InstanceStore at) {
                return at.live()
                        .standIns(around, layer)
                        .around(builtIn, contract, RigWording.slot(around.slot()), target, inner);
            }

            @Override
            public boolean owns() {
                return false;
            }

            @Override
            public String words() {
                return "the decorator " + builtIn.name();
            }
        };
    }

    @Override
    public List<ObjectStation> asks() {
        return List.of();
    }
}
