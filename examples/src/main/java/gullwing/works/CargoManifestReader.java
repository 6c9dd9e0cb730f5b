package gullwing.works;

import gullwing.port.Cargo;
import gullwing.port.ManifestReader;
import java.util.List;

/** Reads lines such as {@code herring 14}. */
public final class CargoManifestReader implements ManifestReader<Cargo> {
    @Override
    public List<Cargo> read(List<String> lines) {
        return lines.stream()
                .map(line -> line.split(" "))
                .map(parts -> new Cargo(parts[0], Integer.parseInt(parts[1])))
                .toList();
    }
}
