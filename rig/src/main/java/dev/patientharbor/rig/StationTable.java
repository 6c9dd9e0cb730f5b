package dev.patientharbor.rig;

import dev.patientharbor.assembly.Assembly;
import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.live.UserClasses;
import dev.patientharbor.live.ValueConverter;
import dev.patientharbor.standins.StandInMaker;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/**
 * The stations of an assembly, for all its rigs: how each part is handed out, with constructors and
 * methods looked up when they are first needed. Holds no object of a rig.
 */
final class StationTable {

    private final Assembly assembly;
    private final ClassLoader loader;
    private final UserClasses classes;
    private volatile ValueConverter converter;
    private volatile List<StandInMaker> makers;
    private final MakerFactory core;
    private final EndMarks endMarks;
    private final ObjectStation[] stations;

    private final KeptPlaces places;

    /** The stations of plain slots that were asked for by class: the usual way to ask. */
    private final Map<Class<?>, ObjectStation> byClass = new ConcurrentHashMap<>();

    /** The one station of each class whose mark says that there is one object of it. */
    private final Map<String, MadeStation> ofClass = new HashMap<>();

    /**
     * The one station of each class whose mark says that there is one object of it, in the order of
     * their numbers.
     */
    private final List<MadeStation> eachOfClass = new ArrayList<>();

    StationTable(Assembly assembly, ClassLoader loader) {
        this.assembly = assembly;
        this.loader = loader;
        classes = new UserClasses(loader);
        core = new MakerFactory(this);
        endMarks = new EndMarks(classes);
        List<AssemblyPart> parts = assembly.parts();
        stations = new ObjectStation[parts.size()];
        for (int i = 0; i < stations.length; i++) {
            Optional<AssemblyPart.Made> made = parts.get(i).made();
            if (made.isPresent()) {
                addOfClass(made.get());
            }
        }
        places = new KeptPlaces(parts, eachOfClass.size());
    }

    private void addOfClass(AssemblyPart.Made made) {
        if (made.oneOfClass().isPresent() && made.making().sameCoreAs().isEmpty()) {
            MadeStation bare = core.bare(made, eachOfClass.size());
            ofClass.put(made.oneOfClass().get(), bare);
            eachOfClass.add(bare);
        }
    }

    /** Asks each kind for its station, so that no kind is loaded that the plan does not have. */
    private ObjectStation station(int number) {
        AssemblyPart part = assembly.parts().get(number);
        return switch (part.form()) {
            case MADE -> station((AssemblyPart.Made) part, number);
            case ALIAS -> AliasStation.of((AssemblyPart.Alias) part, this);
            case MAYBE -> OptionalStation.of((AssemblyPart.Maybe) part, this);
            case LATER -> DeferredStation.of((AssemblyPart.Later) part, this);
            case SEVERAL -> CollectionStation.of((AssemblyPart.Several) part, this);
            case MISSING -> MissingStation.of(part, profile());
        };
    }

    private ObjectStation station(AssemblyPart.Made made, int number) {
        try {
            return core.station(made, places.of(number));
        } catch (LinkageError fault) {
            return new UnusableStation(made, profile(), fault);
        }
    }

    /** The station of the plain slot of a class that was asked for before, or null. */
    ObjectStation plain(Class<?> contract) {
        return byClass.get(contract);
    }

    void plain(Class<?> contract, ObjectStation station) {
        byClass.put(contract, station);
    }

    /**
     * The station of a part, made when it is first asked for. Two threads may both make one, which
     * does no harm: it holds no object, and all that it is made of is final.
     */
    ObjectStation at(int part) {
        ObjectStation known = stations[part];
        if (known == null) {
            known = station(part);
            stations[part] = known;
        }
        return known;
    }

    /** The number of a part. */
    int number(int part) {
        return places.of(part);
    }

    List<ObjectStation> all() {
        return IntStream.range(0, stations.length).mapToObj(this::at).toList();
    }

    /**
     * Lists the stations to which the entry consumers lead, by way of what is only made later too.
     */
    List<ObjectStation> fromEntries() {
        Set<ObjectStation> seen = new LinkedHashSet<>();
        Deque<ObjectStation> open = new ArrayDeque<>();
        assembly.entries().forEach(entry -> open.add(at(entry)));
        while (!open.isEmpty()) {
            ObjectStation station = open.remove();
            if (seen.add(station)) {
                open.addAll(station.asks());
                open.add(station.next());
            }
        }
        return List.copyOf(seen);
    }

    /** The one station of a class whose mark says so. */
    MadeStation ofClass(String name) {
        return ofClass.get(name);
    }

    /** How many objects a rig or a scope may have one of. */
    int objects() {
        return places.end();
    }

    String profile() {
        return assembly.roster().profile();
    }

    Assembly assembly() {
        return assembly;
    }

    ClassLoader loader() {
        return loader;
    }

    UserClasses classes() {
        return classes;
    }

    /** What converts values; made, with the library behind it, when the first is converted. */
    ValueConverter values() {
        if (converter == null) {
            converter = new ValueConverter(assembly.settings(), classes);
        }
        return converter;
    }

    /** Returns the makers of mocks; they are looked for when the first mock is made. */
    List<StandInMaker> makers() {
        if (makers == null) {
            List<StandInMaker> found = new ArrayList<>();
            ServiceLoader.load(StandInMaker.class, loader).forEach(found::add);
            makers = List.copyOf(found);
        }
        return makers;
    }

    EndMarks endMarks() {
        return endMarks;
    }
}
