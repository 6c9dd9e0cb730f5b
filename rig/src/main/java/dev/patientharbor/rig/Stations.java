package dev.patientharbor.rig;

import dev.patientharbor.live.Classes;
import dev.patientharbor.live.Values;
import dev.patientharbor.plan.Assembly;
import dev.patientharbor.plan.Part;
import dev.patientharbor.standins.StandInMaker;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.ServiceLoader;

/**
 * The stations of an assembly, for all its rigs: how each part is handed out, with constructors and
 * methods looked up when they are first needed. Holds no object of a rig.
 */
final class Stations {

    private final Assembly assembly;
    private final ClassLoader loader;
    private final Classes classes;
    private final Values values;
    private final List<StandInMaker> makers;
    private final Makers core;
    private final Deferral deferral;
    private final EndMarks endMarks;
    private final Station[] stations;
    private final int objects;

    /** The one station of each class whose mark says that there is one object of it. */
    private final Map<String, MadeStation> ofClass = new HashMap<>();

    Stations(Assembly assembly, ClassLoader loader) {
        this.assembly = assembly;
        this.loader = loader;
        classes = new Classes(loader);
        values = new Values(assembly.settings(), classes);
        makers =
                ServiceLoader.load(StandInMaker.class, loader).stream()
                        .map(ServiceLoader.Provider::get)
                        .toList();
        core = new Makers(this);
        deferral = new Deferral(classes);
        endMarks = new EndMarks(classes);
        List<Part> parts = assembly.parts();
        stations = new Station[parts.size()];
        for (int i = 0; i < stations.length; i++) {
            if (parts.get(i) instanceof Part.Made made && made.oneOfClass().isPresent()) {
                String name = made.oneOfClass().get();
                if (!ofClass.containsKey(name)) {
                    ofClass.put(name, core.bare(made, stations.length + ofClass.size()));
                }
            }
        }
        objects = stations.length + ofClass.size();
        for (int i = 0; i < stations.length; i++) {
            stations[i] = station(parts.get(i), i);
        }
    }

    private Station station(Part part, int number) {
        if (part instanceof Part.Alias alias) {
            return new AliasStation(alias, this, alias.to());
        }
        if (part instanceof Part.Maybe maybe) {
            return new MaybeStation(maybe, this);
        }
        if (part instanceof Part.Later later) {
            return new LaterStation(later, this, deferral);
        }
        if (part instanceof Part.Several several) {
            return new SeveralStation(several, this, classes);
        }
        if (part instanceof Part.Made made) {
            return core.station(made, number);
        }
        return new MissingStation(part, profile());
    }

    /** The station of a part. */
    Station at(int part) {
        return stations[part];
    }

    List<Station> all() {
        return List.of(stations);
    }

    /** The one station of a class whose mark says so. */
    MadeStation ofClass(String name) {
        return ofClass.get(name);
    }

    /** How many objects a rig or a scope may have one of. */
    int objects() {
        return objects;
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

    Values values() {
        return values;
    }

    List<StandInMaker> makers() {
        return makers;
    }

    Deferral deferral() {
        return deferral;
    }

    EndMarks endMarks() {
        return endMarks;
    }
}
