package dev.patientharbor.plan;

import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.texts.NearNames;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.ShortName;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * Who receives what in one profile, to be asked consumer by consumer. Immutable; may be used by
 * several threads.
 *
 * <pre>{@code
 * Roster live = ProfileFiles.read(Path.of("../examples/port.harbor.yaml")).roster("live");
 * RosterNeed rota = live.of(ArrivalDesk.class).need("rota");
 * assertEquals("real SeasonPilotRota", rota.received());
 * assertTrue(rota.isSameAs(live.of(NightDesk.class).need("rota")));
 * }</pre>
 */
public final class Roster {

    private final String profile;
    private final List<RosterRow> rows;
    private final List<PassedParameter> passed;
    private final boolean eager;

    /**
     * @param profile the name of the profile
     * @param rows one for each need that is reached from the entry consumers, in the order of
     *     {@link RosterRow#ORDER}
     * @param passed the parameters of handlers that their callers pass
     * @param eager whether everything is made at the start, rather than when it is first needed
     */
    public Roster(
            String profile, List<RosterRow> rows, List<PassedParameter> passed, boolean eager) {
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(rows, "rows");
        RequiredArgument.of(passed, "passed");
        this.profile = profile;
        this.rows = List.copyOf(rows);
        this.passed = List.copyOf(passed);
        this.eager = eager;
    }

    /** Returns the name of the profile. */
    public String profile() {
        return profile;
    }

    /** Lists a row for each need that is reached from the entry consumers, sorted. */
    public List<RosterRow> rows() {
        return rows;
    }

    /** Returns the parameters of handlers that their callers pass. */
    public List<PassedParameter> passed() {
        return passed;
    }

    /** Returns whether everything is made at the start, rather than when it is first needed. */
    public boolean eager() {
        return eager;
    }

    /** Returns a short text that is equal for equal decisions, wherever they were made. */
    public String fingerprint() {
        return Fingerprint.of(rows, eager);
    }

    /**
     * Returns the consumers that need something, sorted: binary names, and names of what is no
     * class.
     */
    public List<String> consumers() {
        return List.copyOf(new TreeSet<>(rows.stream().map(row -> row.consumer()).toList()));
    }

    /**
     * What a consumer receives.
     *
     * @throws IllegalArgumentException if it is no consumer of this profile, or needs nothing
     */
    public RosterConsumer of(Class<?> consumer) {
        return of(RequiredArgument.of(consumer, "a consumer").getName());
    }

    /**
     * What a consumer receives.
     *
     * @param consumer its binary name, or its short name if no other consumer has it
     * @throws IllegalArgumentException if it is no consumer of this profile, or needs nothing
     */
    public RosterConsumer of(String consumer) {
        RequiredArgument.of(consumer, "a consumer");
        List<String> all = consumers();
        List<String> meant =
                all.contains(consumer)
                        ? List.of(consumer)
                        : all.stream().filter(name -> shortName(name).equals(consumer)).toList();
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
                            + profile
                            + (near.isEmpty() ? "" : "; near: " + String.join(", ", near)));
        }
        return new RosterConsumer(
                profile,
                meant.get(0),
                rows.stream().filter(row -> row.consumer().equals(meant.get(0))).toList());
    }

    /** A line for each need: {@code FeeBooth (terminal): mock}. */
    @Override
    public String toString() {
        return lines(rows);
    }

    static String lines(List<RosterRow> rows) {
        return rows.stream().map(RosterRow::toString).collect(Collectors.joining("\n"));
    }

    static String shortName(String binaryName) {
        if (BuiltIn.isMeantBy(binaryName)) {
            return BuiltIn.shortWords(binaryName);
        }
        return ShortName.of(binaryName);
    }
}
