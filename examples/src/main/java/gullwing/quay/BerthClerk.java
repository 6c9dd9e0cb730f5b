package gullwing.quay;

import gullwing.port.BerthLedger;
import gullwing.port.Cargo;
import gullwing.port.ManifestReader;
import gullwing.port.Ship;
import java.util.List;

/** Reads manifests, and knows who lies where. */
public final class BerthClerk {

    private final BerthLedger ledger;
    private final ManifestReader<Ship> ships;
    private final ManifestReader<Cargo> cargo;

    public BerthClerk(BerthLedger ledger, ManifestReader<Ship> ships, ManifestReader<Cargo> cargo) {
        this.ledger = ledger;
        this.ships = ships;
        this.cargo = cargo;
    }

    /** The ships at their berths. */
    public List<String> atBerth() {
        return ledger.list();
    }

    /** The tonnes aboard a ship. */
    public String aboard(String ship, List<String> lines) {
        int tonnes = cargo.read(lines).stream().mapToInt(Cargo::tonnes).sum();
        return ships.read(List.of(ship)).get(0).name() + " carries " + tonnes + " t";
    }
}
