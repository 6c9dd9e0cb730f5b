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
        String slot = Words.slot(made.slot());
        if (making instanceof Making.Mocked mocked) {
            return at.live()
                    .standIns(made, made.layers().size())
                    .mock(contract(mocked.contract()), slot);
        }
        if (making instanceof Making.Answering stub) {
            return at.live()
                    .standIns(made, made.layers().size())
                    .answering(
                            contract(stub.contract()),
                            stub.contract(),
                            slot,
                            Makers.place(made),
                            stub.answers());
        }
        if (making instanceof Making.Converted value) {
            try {
                return stations.values().object(value.given(), value.contract());
            } catch (IllegalArgumentException unfit) {
                throw new NotMadeException(unfit.getMessage(), unfit);
            }
        }
        if (making instanceof Making.HandedIn handed) {
            return handed.object();
        }
        if (making instanceof Making.MadeBy by) {
            return by.maker().get();
        }
        throw new IllegalStateException("it stands for no object: it is only checked");
    }

    private Class<?> contract(TypeRef type) {
        return stations.classes().erased(type);
    }

    @Override
    public boolean owns() {
        return made.making() instanceof Making.MadeBy;
    }

    @Override
    public String words() {
        Making making = made.making();
        if (making instanceof Making.Mocked) {
            return "making a mock";
        }
        if (making instanceof Making.Answering) {
            return "making a stub";
        }
        return making instanceof Making.MadeBy ? "the code that makes it" : "what is handed over";
    }
}
