package dev.patientharbor.rig;

import dev.patientharbor.texts.JavaName;
import dev.patientharbor.texts.NearNames;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Finds what a consumer of a rig holds. */
final class HeldObjectFinder {

    private final RigState state;

    HeldObjectFinder(RigState state) {
        this.state = state;
    }

    HeldObject of(Class<?> consumer, String need, InstanceStore at) {
        MadeStation station = station(consumer);
        ConstructedMaker maker = (ConstructedMaker) station.core();
        List<ArgumentSource> asked = maker.asked();
        Optional<ArgumentSource> found =
                asked.stream().filter(source -> source.isFor(need)).findFirst();
        if (found.isEmpty()) {
            List<String> names = asked.stream().flatMap(source -> source.need().stream()).toList();
            List<String> near = NearNames.of(need, names);
            throw new IllegalArgumentException(
                    JavaName.of(consumer)
                            + " has no need "
                            + need
                            + (near.isEmpty()
                                    ? "; it has " + String.join(", ", names)
                                    : "; did you mean " + String.join(", ", near) + "?"));
        }
        InstanceStore home = station.home(at);
        Object outermost = station.get(at);
        List<Object> layers = state.layers(outermost, home);
        int place = asked.indexOf(found.get());
        Object held =
                home.memory()
                        .given(layers.get(layers.size() - 1))
                        .map(all -> all.get(place))
                        .orElseGet(() -> found.get().station().orElseThrow().get(at));
        Object opened = opened(held, found.get().station().orElseThrow(), at);
        return new HeldObject(state.layers(opened, home));
    }

    /** What is in a wrapping that may be absent, or that hands it out. */
    private static Object opened(Object held, ObjectStation station, InstanceStore at) {
        if (station instanceof AliasStation) {
            return opened(held, station.next(), at);
        }
        if (held instanceof Optional<?> maybe && station instanceof OptionalStation) {
            return maybe.map(inside -> opened(inside, station.next(), at)).orElse(null);
        }
        return station instanceof DeferredStation
                ? opened(station.next().get(at), station.next(), at)
                : held;
    }

    private MadeStation station(Class<?> consumer) {
        List<MadeStation> found = new ArrayList<>();
        for (ObjectStation one : state.stations().all()) {
            if (one instanceof MadeStation made
                    && made.core() instanceof ConstructedMaker maker
                    && maker.className().equals(consumer.getName())) {
                found.add(made);
            }
        }
        if (found.size() > 1) {
            found.removeIf(station -> !RigWording.isSlotOf(station.part().slot(), consumer));
        }
        if (found.size() == 1) {
            return found.get(0);
        }
        throw new IllegalArgumentException(
                state.profile()
                        + (found.isEmpty() ? " makes no " : " makes in several places a ")
                        + JavaName.of(consumer));
    }
}
