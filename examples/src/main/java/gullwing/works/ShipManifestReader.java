package gullwing.works;

import gullwing.port.ManifestReader;
import gullwing.port.Ship;
import java.util.List;

/** Reads lines such as {@code Petrel 62}. */
public final class ShipManifestReader implements ManifestReader<Ship> {
    @Override
    public List<Ship> read(List<String> lines) {
        return lines.stream()
                .map(line -> line.split(" "))
                .map(parts -> new Ship(parts[0], Integer.parseInt(parts[1])))
                .toList();
    }
}
