package dev.patientharbor.report;

import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.io.IOException;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** Rosters that {@code roster --format json} has written. Immutable. */
public final class SavedRosters implements RosterSource {

    private final String title;
    private final String file;
    private final Map<String, Roster> rosters;
    private final ShortClassNames names;

    private SavedRosters(String title, String file, Map<String, Roster> rosters) {
        this.title = title;
        this.file = file;
        this.rosters = Collections.unmodifiableMap(rosters);
        Set<String> classes = new TreeSet<>();
        for (Roster roster : rosters.values()) {
            for (RosterRow row : roster.rows()) {
                for (String maker : row.makers()) {
                    classes.add(maker.substring(0, (maker + '#').indexOf('#')));
                }
                addNames(row.slot(), classes);
                row.as().ifPresent(slot -> addNames(slot, classes));
            }
        }
        names = ShortClassNames.among(classes);
    }

    private static void addNames(Slot slot, Set<String> classes) {
        slot.text(
                name -> {
                    classes.add(name);
                    return name;
                });
    }

    /**
     * Reads them.
     *
     * @param json the whole text
     * @throws IllegalArgumentException if it is no JSON, no roster, or of another version: what is
     *     wrong, and what to do
     */
    public static SavedRosters read(String json) {
        try {
            RosterReader reader =
                    new RosterReader(JsonTree.read(RequiredArgument.of(json, "json")));
            Map<String, Roster> rosters = new LinkedHashMap<>();
            reader.rosters().forEach(roster -> rosters.put(roster.profile(), roster));
            return new SavedRosters(reader.title(), reader.file(), rosters);
        } catch (IOException malformed) {
            String message = malformed.getMessage().lines().findFirst().orElse("");
            throw new IllegalArgumentException("it is no JSON: " + message, malformed);
        }
    }

    /** Returns the rosters by profile, in the order of the text; partial profiles have none. */
    public Map<String, Roster> rosters() {
        return rosters;
    }

    @Override
    public String title() {
        return title;
    }

    @Override
    public String file() {
        return file;
    }

    @Override
    public String shortName(String binaryName) {
        return names.of(RequiredArgument.of(binaryName, "binaryName"));
    }

    /** Returns the title and the profiles. */
    @Override
    public String toString() {
        return title + " " + rosters.keySet();
    }
}
