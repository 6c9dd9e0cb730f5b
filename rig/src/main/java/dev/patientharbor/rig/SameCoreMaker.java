package dev.patientharbor.rig;

import java.util.List;
import java.util.function.Supplier;

/** Takes the object of another station, to put it into other layers. */
final class SameCoreMaker implements CoreMaker {

    private final Supplier<ObjectStation> other;

    SameCoreMaker(Supplier<ObjectStation> other) {
        this.other = other;
    }

    @Override
    public Object make(InstanceStore at) {
        return other.get().get(at);
    }

    @Override
    public List<ObjectStation> asks() {
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
