package dev.patientharbor.rig;

import dev.patientharbor.live.Classes;
import dev.patientharbor.live.Values;
import dev.patientharbor.plan.Assembly;
import dev.patientharbor.plan.Part;
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
final class Stations {

    private final Assembly assembly;
    private final ClassLoader loader;
    private final Classes classes;
    private volatile Values values;
    private volatile List<StandInMaker> makers;
    private final Makers core;
    private final EndMarks endMarks;
    private final Station[] stations;

    private final Numbers numbers;

    /** The stations of plain slots that were asked for by class: the usual way to ask. */
    private final Map<Class<?>, Station> byClass = new ConcurrentHashMap<>();

    /** The one station of each class whose mark says that there is one object of it. */
    private final Map<String, MadeStation> ofClass = new HashMap<>();

    /** The same, each in the place of its number. */
    private final List<MadeStation> eachOfClass = new ArrayList<>();

    Stations(Assembly assembly, ClassLoader loader) {
        this.assembly = assembly;
        this.loader = loader;
        classes = new Classes(loader);
        core = new Makers(this);
        endMarks = new EndMarks(classes);
        List<Part> parts = assembly.parts();
        stations = new Station[parts.size()];
        for (int i = 0; i < stations.length; i++) {
            Optional<Part.Made> made = parts.get(i).made();
            if (made.isPresent()) {
                addOfClass(made.get());
            }
        }
        numbers = new Numbers(parts, eachOfClass.size());
    }

    private void addOfClass(Part.Made made) {
        if (made.oneOfClass().isPresent() && made.making().sameCoreAs().isEmpty()) {
            MadeStation bare = core.bare(made, eachOfClass.size());
            ofClass.put(made.oneOfClass().get(), bare);
            eachOfClass.add(bare);
        }
    }

    /** Asks each kind for its station, so that no kind is loaded that the plan does not have. */
    private Station station(int number) {
        Part part = assembly.parts().get(number);
        return switch (part.form()) {
            case MADE -> station((Part.Made) part, number);
            case ALIAS -> AliasStation.of((Part.Alias) part, this);
            case MAYBE -> MaybeStation.of((Part.Maybe) part, this);
            case LATER -> LaterStation.of((Part.Later) part, this);
            case SEVERAL -> SeveralStation.of((Part.Several) part, this);
            case MISSING -> MissingStation.of(part, profile());
        };
    }

    private Station station(Part.Made made, int number) {
        try {
            return core.station(made, numbers.of(number));
        } catch (LinkageError fault) {
            return new UnusableStation(made, profile(), fault);
        }
    }

    /** The station of the plain slot of a class that was asked for before, or null. */
    Station plain(Class<?> contract) {
        return byClass.get(contract);
    }

    void plain(Class<?> contract, Station station) {
        byClass.put(contract, station);
    }

    /**
     * The station of a part, made when it is first asked for. Two threads may both make one, which
     * does no harm: it holds no object, and all that it is made of is final.
     */
    Station at(int part) {
        Station known = stations[part];
        if (known == null) {
            known = station(part);
            stations[part] = known;
        }
        return known;
    }

    /** The number of a part. */
    int number(int part) {
        return numbers.of(part);
    }

    List<Station> all() {
        return IntStream.range(0, stations.length).mapToObj(this::at).toList();
    }

    /** Those to which the entry consumers lead, by way of what is only made later too. */
    List<Station> fromEntries() {
        Set<Station> seen = new LinkedHashSet<>();
        Deque<Station> open = new ArrayDeque<>();
        assembly.entries().forEach(entry -> open.add(at(entry)));
        while (!open.isEmpty()) {
            Station one = open.remove();
            if (seen.add(one)) {
                open.addAll(one.asks());
                open.add(one.next());
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
        return numbers.end();
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

    Classes classes() {
        return classes;
    }

    /** What converts values; made, with the library behind it, when the first is converted. */
    Values values() {
        if (values == null) {
            values = new Values(assembly.settings(), classes);
        }
        return values;
    }

    /** Those who make mocks; looked for when the first mock is made. */
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
