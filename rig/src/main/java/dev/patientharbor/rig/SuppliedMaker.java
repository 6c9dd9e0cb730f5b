package dev.patientharbor.rig;

import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.assembly.ObjectMaking;
import dev.patientharbor.terms.TypeRef;

/** Hands over what no constructor makes: stand-ins, values, and what the caller gave. */
final class SuppliedMaker implements CoreMaker {

    private final AssemblyPart.Made made;
    private final StationTable stations;

    SuppliedMaker(AssemblyPart.Made made, StationTable stations) {
        this.made = made;
        this.stations = stations;
    }

    @Override
    public Object make(InstanceStore at) {
        ObjectMaking making = made.making();
        return switch (making.form()) {
            case MOCKED -> mock((ObjectMaking.Mocked) making, at);
            case ANSWERING -> stub((ObjectMaking.Answering) making, at);
            case CONVERTED -> value((ObjectMaking.Converted) making);
            case HANDED_IN -> ((ObjectMaking.HandedIn) making).object();
            case MADE_BY -> ((ObjectMaking.MadeBy) making).maker().get();
            case NO_OBJECT ->
                    throw new IllegalStateException("it stands for no object: it is only checked");
            case CONSTRUCTED, CALLED, SAME_CORE ->
                    throw new IllegalStateException("it is not supplied: " + making.form());
        };
    }

    private Object mock(ObjectMaking.Mocked mocked, InstanceStore at) {
        return at.live()
                .standIns(made, made.layers().size())
                .mock(contract(mocked.contract()), RigWording.slot(made.slot()));
    }

    private Object stub(ObjectMaking.Answering stub, InstanceStore at) {
        return at.live()
                .standIns(made, made.layers().size())
                .answering(
                        contract(stub.contract()),
                        stub.contract(),
                        RigWording.slot(made.slot()),
                        MakerFactory.place(made),
                        stub.answers());
    }

    private Object value(ObjectMaking.Converted value) {
        try {
            return stations.values().object(value.given(), value.contract());
        } catch (IllegalArgumentException unfit) {
            throw new NotMadeException(unfit.getMessage(), unfit);
        }
    }

    private Class<?> contract(TypeRef type) {
        return stations.classes().erased(type);
    }

    @Override
    public boolean owns() {
        return made.making().form() == ObjectMaking.Form.MADE_BY;
    }

    @Override
    public String words() {
        return switch (made.making().form()) {
            case MOCKED -> "making a mock";
            case ANSWERING -> "making a stub";
            case MADE_BY -> "the code that makes it";
            case CONVERTED, HANDED_IN, NO_OBJECT -> "what is handed over";
            case CONSTRUCTED, CALLED, SAME_CORE -> "what is handed over";
        };
    }
}
