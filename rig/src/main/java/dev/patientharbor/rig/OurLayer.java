package dev.patientharbor.rig;

import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.plan.Part;
import java.util.List;

/** A decorator that is built in. */
final class OurLayer implements LayerMaker {

    private final BuiltIn builtIn;
    private final Class<?> contract;
    private final Part.Made around;
    private final int layer;
    private final String target;

    /**
     * @param around the part whose object it stands around
     * @param layer its number among the layers, outermost first
     * @param target what it stands around, as people call it
     */
    OurLayer(BuiltIn builtIn, Class<?> contract, Part.Made around, int layer, String target) {
        this.builtIn = builtIn;
        this.contract = contract;
        this.around = around;
        this.layer = layer;
        this.target = target;
    }

    @Override
    public Maker around(Object inner) {
        return new Maker() {
            @Override
            public Object make(Surroundings at) {
                return at.live()
                        .standIns(around, layer)
                        .around(builtIn, contract, Words.slot(around.slot()), target, inner);
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
    public List<Station> asks() {
        return List.of();
    }
}
