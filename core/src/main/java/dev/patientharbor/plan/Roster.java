package dev.patientharbor.plan;

import dev.patientharbor.finding.NearNames;
import java.util.List;
import java.util.TreeSet;

/**
 * Who receives what in one profile, to be asked consumer by consumer. Immutable; may be used by
 * several threads.
 *
 * <pre>{@code
 * Roster live = ProfileFiles.read(Path.of("../examples/port.harbor.yaml")).roster("live");
 * Received rota = live.of(ArrivalDesk.class).need("rota");
 * assertEquals("real SeasonPilotRota", rota.received());
 * assertTrue(rota.isSameAs(live.of(NightDesk.class).need("rota")));
 * }</pre>
 */
public final class Roster {

    private final Plan plan;

    Roster(Plan plan) {
        this.plan = plan;
    }

    /** What it reads from. */
    public Plan plan() {
        return plan;
    }

    /** The consumers that need something, sorted: binary names, and names of what is no class. */
    public List<String> consumers() {
        return List.copyOf(new TreeSet<>(plan.rows().stream().map(row -> row.consumer()).toList()));
    }

    /**
     * What a consumer receives.
     *
     * @throws IllegalArgumentException if it is no consumer of this profile, or needs nothing
     */
    public Receiver of(Class<?> consumer) {
        return of(consumer.getName());
    }

    /**
     * What a consumer receives.
     *
     * @param consumer its binary name, or its short name if no other consumer has it
     * @throws IllegalArgumentException if it is no consumer of this profile, or needs nothing
     */
    public Receiver of(String consumer) {
        List<String> all = consumers();
        List<String> meant =
                all.contains(consumer)
                        ? List.of(consumer)
                        : all.stream().filter(one -> shortName(one).equals(consumer)).toList();
        if (meant.size() != 1) {
            List<String> near =
                    meant.isEmpty()
                            ? NearNames.of(
                                    shortName(consumer),
                                    all.stream().map(Roster::shortName).toList())
                            : meant;
            throw new IllegalArgumentException(
                    (meant.isEmpty()
                                    ? "there is no consumer " + consumer + " that needs something"
                                    : "several consumers are called " + consumer)
                            + " in "
                            + plan.profile()
                            + (near.isEmpty() ? "" : "; near: " + String.join(", ", near)));
        }
        return new Receiver(
                plan.profile(),
                meant.get(0),
                plan.rows().stream().filter(row -> row.consumer().equals(meant.get(0))).toList());
    }

    static String shortName(String binaryName) {
        return binaryName.substring(
                Math.max(binaryName.lastIndexOf('.'), binaryName.lastIndexOf('$')) + 1);
    }
}
