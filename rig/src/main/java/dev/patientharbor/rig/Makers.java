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
        return made.making().standsForObject()
                ? Classes.boxed(stations.classes().erased(made.slot().contract()))
                : Object.class;
    }

    private Maker core(Part.Made made) {
        Making making = made.making();
        return switch (making.form()) {
            case CONSTRUCTED -> constructed((Making.Constructed) making, made.lifetime().isKept());
            case CALLED -> called((Making.Called) making);
            case SAME_CORE -> {
                int part = making.sameCoreAs().orElseThrow();
                yield new SameCoreMaker(() -> stations.at(part));
            }
            case MOCKED, ANSWERING, CONVERTED, HANDED_IN, MADE_BY, NO_OBJECT ->
                    new SuppliedMaker(made, stations);
        };
    }

    private ConstructedMaker constructed(Making.Constructed making, boolean kept) {
        return new ConstructedMaker(making, arguments(making.arguments()), kept, this);
    }

    private CalledMaker called(Making.Called making) {
        return new CalledMaker(making, arguments(making.arguments()), stations);
    }

    Asked[] arguments(List<Argument> arguments) {
        Asked[] asked = new Asked[arguments.size()];
        for (int i = 0; i < asked.length; i++) {
            asked[i] = new Asked(arguments.get(i), stations);
        }
        return asked;
    }

    private LayerMaker layer(Part.Made made, int place, Class<?> contract) {
        Layer layer = made.layers().get(place);
        return switch (layer.form()) {
            case OF_CLASS -> new ClassLayer(constructed(((Layer.OfClass) layer).making(), false));
            case OF_OURS ->
                    new OurLayer(
                            ((Layer.OfOurs) layer).builtIn(),
                            contract,
                            made,
                            place,
                            target(made, place + 1));
        };
    }

    /** What a layer stands around: the next layer of a class, or the core. */
    private String target(Part.Made made, int from) {
        for (Layer layer : made.layers().subList(from, made.layers().size())) {
            if (layer.form() == Layer.Form.OF_CLASS) {
                return ShortName.of(((Layer.OfClass) layer).making().className());
            }
        }
        String core = core(made.making());
        return made.kind().word() + (core.isEmpty() ? "" : " " + core);
    }

    private String core(Making making) {
        return switch (making.form()) {
            case CONSTRUCTED -> ShortName.of(((Making.Constructed) making).className());
            case CALLED -> {
                Making.Called called = (Making.Called) making;
                yield ShortName.of(called.className()) + '#' + called.method();
            }
            case SAME_CORE ->
                    stations.assembly()
                            .parts()
                            .get(making.sameCoreAs().orElseThrow())
                            .made()
                            .map(other -> core(other.making()))
                            .orElse("");
            case MOCKED, ANSWERING, CONVERTED, HANDED_IN, MADE_BY, NO_OBJECT -> "";
        };
    }

    Stations stations() {
        return stations;
    }

    static String place(Part.Made made) {
        return made.origin().map(Where::text).orElse("nowhere");
    }
}
