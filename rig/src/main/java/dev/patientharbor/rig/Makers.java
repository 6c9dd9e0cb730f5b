package dev.patientharbor.rig;

import dev.patientharbor.finding.Where;
import dev.patientharbor.live.Classes;
import dev.patientharbor.model.ShortName;
import dev.patientharbor.plan.Argument;
import dev.patientharbor.plan.Layer;
import dev.patientharbor.plan.Making;
import dev.patientharbor.plan.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Turns what an assembly says of an object into what makes it. */
final class Makers {

    private final Stations stations;

    Makers(Stations stations) {
        this.stations = stations;
    }

    /** The station of an object that each class has one of, without its layers. */
    MadeStation bare(Part.Made made, int number) {
        return new MadeStation(
                made,
                number,
                core(made),
                List.of(),
                stations.classes().load(made.oneOfClass().orElseThrow()),
                this);
    }

    /** The station of objects that are new each time, beside those of another. */
    MadeStation afresh(MadeStation other, Map<String, Object> passed) {
        return station(
                Afresh.of(other.made(), stations.assembly().parts(), passed), other.number());
    }

    MadeStation station(Part.Made made, int number) {
        Class<?> contract = contract(made);
        List<LayerMaker> layers = new ArrayList<>();
        for (int i = 0; i < made.layers().size(); i++) {
            layers.add(layer(made, i, contract));
        }
        Maker core =
                made.oneOfClass().isPresent()
                        ? new SameCoreMaker(() -> stations.ofClass(made.oneOfClass().get()))
                        : core(made);
        return new MadeStation(made, number, core, layers, contract, this);
    }

    private Class<?> contract(Part.Made made) {
        return made.making() instanceof Making.NoObject
                ? Object.class
                : Classes.boxed(stations.classes().erased(made.slot().contract()));
    }

    private Maker core(Part.Made made) {
        Making making = made.making();
        if (making instanceof Making.Constructed constructed) {
            return new ConstructedMaker(
                    constructed,
                    arguments(constructed.arguments()),
                    made.lifetime().isKept(),
                    this);
        }
        if (making instanceof Making.Called called) {
            return new CalledMaker(called, arguments(called.arguments()), stations);
        }
        if (making instanceof Making.SameCore same) {
            return new SameCoreMaker(() -> stations.at(same.part()));
        }
        return new SuppliedMaker(made, stations);
    }

    Asked[] arguments(List<Argument> arguments) {
        Asked[] asked = new Asked[arguments.size()];
        for (int i = 0; i < asked.length; i++) {
            asked[i] = new Asked(arguments.get(i), stations);
        }
        return asked;
    }

    private LayerMaker layer(Part.Made made, int place, Class<?> contract) {
        if (made.layers().get(place) instanceof Layer.OfOurs ours) {
            return new OurLayer(ours.builtIn(), contract, made, place, target(made, place + 1));
        }
        Layer.OfClass ofClass = (Layer.OfClass) made.layers().get(place);
        ConstructedMaker maker =
                new ConstructedMaker(
                        ofClass.making(), arguments(ofClass.making().arguments()), false, this);
        return new ClassLayer(maker);
    }

    /** What a layer stands around: the next layer of a class, or the core. */
    private String target(Part.Made made, int from) {
        for (Layer layer : made.layers().subList(from, made.layers().size())) {
            if (layer instanceof Layer.OfClass ofClass) {
                return ShortName.of(ofClass.making().className());
            }
        }
        String core = core(made.making());
        return made.kind().word() + (core.isEmpty() ? "" : " " + core);
    }

    private String core(Making making) {
        if (making instanceof Making.Constructed constructed) {
            return ShortName.of(constructed.className());
        }
        if (making instanceof Making.Called called) {
            return ShortName.of(called.className()) + '#' + called.method();
        }
        return making instanceof Making.SameCore same
                        && stations.assembly().parts().get(same.part()) instanceof Part.Made other
                ? core(other.making())
                : "";
    }

    Stations stations() {
        return stations;
    }

    static String place(Part.Made made) {
        return made.origin().map(Where::text).orElse("nowhere");
    }
}
