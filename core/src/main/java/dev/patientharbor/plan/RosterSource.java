package dev.patientharbor.plan;

/** Where rosters come from, for those that show them: a check, or a file that was saved. */
public interface RosterSource {

    /** Returns the title of the set. */
    String title();

    /** Returns the profile file, as it was named; places in it are shown by their line alone. */
    String file();

    /** Returns the name of a class as people read it: short, unless two classes share it. */
    String shortName(String binaryName);
}
