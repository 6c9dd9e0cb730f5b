package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyArgument;
import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.assembly.DecoratorLayer;
import dev.patientharbor.assembly.ObjectMaking;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.live.UserClasses;
import dev.patientharbor.texts.ShortName;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Turns what an assembly says of an object into what makes it. */
final class MakerFactory {

    private final StationTable stations;

    MakerFactory(StationTable stations) {
        this.stations = stations;
    }

    /** The station of an object that each class has one of, without its layers. */
    MadeStation bare(AssemblyPart.Made made, int number) {
        return new MadeStation(
                made,
                number,
                core(made),
                List.of(),
                stations.classes().load(made.oneOfClass().orElseThrow()),
                this);
    }

    /** The station of objects that are new each time, beside those of another. */
    MadeStation freshStation(MadeStation other, Map<String, Object> passed) {
        return station(
                FreshParts.of(other.made(), stations.assembly().parts(), passed), other.number());
    }

    MadeStation station(AssemblyPart.Made made, int number) {
        Class<?> contract = contract(made);
        List<LayerMaker> layers = new ArrayList<>();
        for (int i = 0; i < made.layers().size(); i++) {
            layers.add(layer(made, i, contract));
        }
        CoreMaker core =
                made.oneOfClass().isPresent()
                        ? new SameCoreMaker(() -> stations.ofClass(made.oneOfClass().get()))
                        : core(made);
        return new MadeStation(made, number, core, layers, contract, this);
    }

    private Class<?> contract(AssemblyPart.Made made) {
        return made.making().standsForObject()
                ? UserClasses.boxed(stations.classes().erased(made.slot().contract()))
                : Object.class;
    }

    private CoreMaker core(AssemblyPart.Made made) {
        ObjectMaking making = made.making();
        return switch (making.form()) {
            case CONSTRUCTED ->
                    constructed((ObjectMaking.Constructed) making, made.lifetime().isKept());
            case CALLED -> called((ObjectMaking.Called) making);
            case SAME_CORE -> {
                int part = making.sameCoreAs().orElseThrow();
                yield new SameCoreMaker(() -> stations.at(part));
            }
            case MOCKED, ANSWERING, CONVERTED, HANDED_IN, MADE_BY, NO_OBJECT ->
                    new SuppliedMaker(made, stations);
        };
    }

    private ConstructedMaker constructed(ObjectMaking.Constructed making, boolean kept) {
        return new ConstructedMaker(making, arguments(making.arguments()), kept, this);
    }

    private CalledMaker called(ObjectMaking.Called making) {
        return new CalledMaker(making, arguments(making.arguments()), stations);
    }

    ArgumentSource[] arguments(List<AssemblyArgument> arguments) {
        ArgumentSource[] asked = new ArgumentSource[arguments.size()];
        for (int i = 0; i < asked.length; i++) {
            asked[i] = new ArgumentSource(arguments.get(i), stations);
        }
        return asked;
    }

    private LayerMaker layer(AssemblyPart.Made made, int place, Class<?> contract) {
        DecoratorLayer layer = made.layers().get(place);
        return switch (layer.form()) {
            case OF_CLASS ->
                    new ClassLayer(constructed(((DecoratorLayer.OfClass) layer).making(), false));
            case OF_OURS ->
                    new BuiltInLayer(
                            ((DecoratorLayer.OfBuiltIn) layer).builtIn(),
                            contract,
                            made,
                            place,
                            target(made, place + 1));
        };
    }

    /** What a layer stands around: the next layer of a class, or the core. */
    private String target(AssemblyPart.Made made, int from) {
        for (DecoratorLayer layer : made.layers().subList(from, made.layers().size())) {
            if (layer.form() == DecoratorLayer.Form.OF_CLASS) {
                return ShortName.of(((DecoratorLayer.OfClass) layer).making().className());
            }
        }
        String core = core(made.making());
        return made.kind().word() + (core.isEmpty() ? "" : " " + core);
    }

    private String core(ObjectMaking making) {
        return switch (making.form()) {
            case CONSTRUCTED -> ShortName.of(((ObjectMaking.Constructed) making).className());
            case CALLED -> {
                ObjectMaking.Called called = (ObjectMaking.Called) making;
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

    StationTable stations() {
        return stations;
    }

    static String place(AssemblyPart.Made made) {
        return made.origin().map(SourcePosition::text).orElse("nowhere");
    }
}
