package dev.patientharbor.texts;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** Finds the names that somebody may have meant. */
public final class NearNames {

    private static final int MOST = 3;

    private NearNames() {}

    /**
     * The known names nearest to the given one, nearest first, at most three.
     *
     * <p>Near is: as many edits as a third of the name's length, capitals not counted; two letters
     * swapped are one edit.
     */
    public static List<String> of(String name, Collection<String> known) {
        String wanted = name.toLowerCase(Locale.ROOT);
        int limit = limit(wanted);
        record Near(String name, int distance) {}
        List<Near> near = new ArrayList<>();
        for (String candidate : known) {
            if (Math.abs(candidate.length() - wanted.length()) <= limit) {
                int distance = distance(wanted, candidate.toLowerCase(Locale.ROOT));
                if (distance <= limit) {
                    near.add(new Near(candidate, distance));
                }
            }
        }
        near.sort(Comparator.comparingInt(Near::distance).thenComparing(Near::name));
        return near.stream().map(Near::name).distinct().limit(MOST).toList();
    }

    /** How many edits away a name may be to be near. */
    static int limit(String name) {
        return Math.max(1, name.length() / 3);
    }

    private static int distance(String a, String b) {
        int[] before = new int[b.length() + 1];
        int[] last = new int[b.length() + 1];
        int[] now = new int[b.length() + 1];
        for (int j = 0; j <= b.length(); j++) {
            last[j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            now[0] = i;
            for (int j = 1; j <= b.length(); j++) {
                int change = a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1;
                now[j] = Math.min(Math.min(now[j - 1], last[j]) + 1, last[j - 1] + change);
                if (i > 1
                        && j > 1
                        && a.charAt(i - 1) == b.charAt(j - 2)
                        && a.charAt(i - 2) == b.charAt(j - 1)) {
                    now[j] = Math.min(now[j], before[j - 2] + 1);
                }
            }
            int[] free = before;
            before = last;
            last = now;
            now = free;
        }
        return last[b.length()];
    }
}
