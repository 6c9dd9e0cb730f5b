package dev.patientharbor.texts;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Finds among the same names again and again those that somebody may have meant, as {@link
 * NearNames} does. Who asks for very many names has hardly mistyped them all: beyond the first 200
 * only names that are one edit away are found, which costs no look at all others.
 *
 * <p>Not to be used by several threads at a time.
 */
public final class NameSearch {

    private static final int THOROUGH = 200;

    private final List<String> known;
    private final Map<Integer, List<String>> byLength = new HashMap<>();
    private int searches;

    /** A hash of each name, and of it without one letter, with the name's number; sorted. */
    private long[] oneEdit;

    public NameSearch(Collection<String> known) {
        this.known = List.copyOf(new LinkedHashSet<>(known));
        for (String name : this.known) {
            byLength.computeIfAbsent(name.length(), length -> new ArrayList<>()).add(name);
        }
    }

    /** The known names nearest to the given one, nearest first, at most three. */
    public List<String> near(String name) {
        return NearNames.of(name, searches++ < THOROUGH ? ofLengthNear(name) : oneEditAway(name));
    }

    private List<String> ofLengthNear(String name) {
        int limit = NearNames.limit(name);
        List<String> candidates = new ArrayList<>();
        for (int length = name.length() - limit; length <= name.length() + limit; length++) {
            candidates.addAll(byLength.getOrDefault(length, List.of()));
        }
        return candidates;
    }

    private List<String> oneEditAway(String name) {
        if (oneEdit == null) {
            oneEdit = index();
        }
        LinkedHashSet<String> candidates = new LinkedHashSet<>();
        for (int hash : hashes(name)) {
            int at = Arrays.binarySearch(oneEdit, (long) hash << Integer.SIZE);
            for (int i = at < 0 ? -at - 1 : at;
                    i < oneEdit.length && oneEdit[i] >> Integer.SIZE == hash;
                    i++) {
                candidates.add(known.get((int) oneEdit[i]));
            }
        }
        return List.copyOf(candidates);
    }

    private long[] index() {
        long[] all = new long[known.stream().mapToInt(name -> name.length() + 1).sum()];
        int next = 0;
        for (int number = 0; number < known.size(); number++) {
            for (int hash : hashes(known.get(number))) {
                all[next++] = (long) hash << Integer.SIZE | number;
            }
        }
        Arrays.sort(all);
        return all;
    }

    /**
     * Returns the hashes of a name, and of it without each of its letters: two names one edit apart
     * share one.
     */
    private static int[] hashes(String name) {
        String lower = name.toLowerCase(Locale.ROOT);
        int[] hashes = new int[name.length() + 1];
        hashes[0] = lower.hashCode();
        for (int i = 0; i < name.length(); i++) {
            int end = Math.min(i + 1, lower.length());
            String without = lower.substring(0, Math.min(i, lower.length())) + lower.substring(end);
            hashes[i + 1] = without.hashCode();
        }
        return hashes;
    }
}
