package gullwing.wreck;

import gullwing.port.Cargo;
import gullwing.port.ManifestReader;
import gullwing.port.PilotRota;
import java.util.List;

/** The pilot is whoever the cargo suits. */
public final class CargoRota implements PilotRota {

    private final ManifestReader<Cargo> reader;

    public CargoRota(ManifestReader<Cargo> reader) {
        this.reader = reader;
    }

    @Override
    public String onDuty() {
        return reader.read(List.of("herring 14")).isEmpty() ? "nobody" : "Odo Brack";
    }
}
