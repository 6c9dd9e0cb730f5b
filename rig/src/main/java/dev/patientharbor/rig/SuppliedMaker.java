package dev.patientharbor.rig;

import dev.patientharbor.model.TypeRef;
import dev.patientharbor.plan.Making;
import dev.patientharbor.plan.Part;

/** Hands over what no constructor makes: stand-ins, values, and what the caller gave. */
final class SuppliedMaker implements Maker {

    private final Part.Made made;
    private final Stations stations;

    SuppliedMaker(Part.Made made, Stations stations) {
        this.made = made;
        this.stations = stations;
    }

    @Override
    public Object make(Surroundings at) {
        Making making = made.making();
        return switch (making.form()) {
            case MOCKED -> mock((Making.Mocked) making, at);
            case ANSWERING -> stub((Making.Answering) making, at);
            case CONVERTED -> value((Making.Converted) making);
            case HANDED_IN -> ((Making.HandedIn) making).object();
            case MADE_BY -> ((Making.MadeBy) making).maker().get();
            case NO_OBJECT ->
                    throw new IllegalStateException("it stands for no object: it is only checked");
            case CONSTRUCTED, CALLED, SAME_CORE ->
                    throw new IllegalStateException("it is not supplied: " + making.form());
        };
    }

    private Object mock(Making.Mocked mocked, Surroundings at) {
        return at.live()
                .standIns(made, made.layers().size())
                .mock(contract(mocked.contract()), Words.slot(made.slot()));
    }

    private Object stub(Making.Answering stub, Surroundings at) {
        return at.live()
                .standIns(made, made.layers().size())
                .answering(
                        contract(stub.contract()),
                        stub.contract(),
                        Words.slot(made.slot()),
                        Makers.place(made),
                        stub.answers());
    }

    private Object value(Making.Converted value) {
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
        return made.making().form() == Making.Form.MADE_BY;
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
