package dev.patientharbor.rig;

import java.util.List;
import java.util.function.Supplier;

/** Takes the object of another station, to put it into other layers. */
final class SameCoreMaker implements Maker {

    private final Supplier<Station> other;

    SameCoreMaker(Supplier<Station> other) {
        this.other = other;
    }

    @Override
    public Object make(Surroundings at) {
        return other.get().get(at);
    }

    @Override
    public List<Station> asks() {
        return List.of(other.get());
    }

    @Override
    public boolean owns() {
        return false;
    }

    @Override
    public String words() {
        return "another level";
    }
}
