package dev.patientharbor.rig;

import java.util.List;

/** A decorator of the user's own: nothing of ours stands in the way of a call. */
final class ClassLayer implements LayerMaker {

    private final ConstructedMaker maker;

    ClassLayer(ConstructedMaker maker) {
        this.maker = maker;
    }

    @Override
    public CoreMaker around(Object inner) {
        return new CoreMaker() {
            @Override
            public Object make(InstanceStore at) throws Throwable {
                return maker.make(at, inner);
            }

            @Override
            public String words() {
                return maker.words();
            }
        };
    }

    @Override
    public List<ObjectStation> asks() {
        return maker.asks();
    }
}
