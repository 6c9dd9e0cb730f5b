package dev.patientharbor.texts;

import java.util.List;

/** Names in a line, no more of them than people read. */
public final class NameList {

    private static final int MOST = 20;

    private NameList() {}

    /** The names with commas between; of more than twenty the first ones, and how many more. */
    public static String of(List<String> names) {
        if (names.size() <= MOST) {
            return String.join(", ", names);
        }
        return String.join(", ", names.subList(0, MOST))
                + " and "
                + (names.size() - MOST)
                + " more";
    }
}
