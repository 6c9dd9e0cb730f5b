package dev.patientharbor.inherited;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;

/**
 * What holds for a slot in a profile, and who said it.
 *
 * @param what the binding, or the list of decorators
 * @param by the number of the profile that said it; where parents disagree, the one in which they
 *     meet
 * @param disagreement the parents' different words, if nobody has settled them since
 * @param over the word that it replaces, if there is one
 */
record InheritedStatement<T>(
        T what,
        int by,
        Optional<Disagreement<T>> disagreement,
        Optional<InheritedStatement<T>> over) {

    /**
     * Two or more parents that say different things.
     *
     * @param meet the number of the profile in which they meet
     * @param words what each says, in the order of the parents
     */
    record Disagreement<T>(int meet, List<InheritedStatement<T>> words) {}

    static <T> InheritedStatement<T> by(int profile, T what, Optional<InheritedStatement<T>> over) {
        return new InheritedStatement<>(what, profile, Optional.empty(), over);
    }

    /**
     * Joins what the parents of a profile say. A word is out if another one comes from a profile
     * that extends its profile; if more than one is left and they differ, the first fills the slot
     * and the disagreement is kept.
     */
    static <T> InheritedStatement<T> join(
            int profile,
            List<InheritedStatement<T>> words,
            ProfileHierarchy hierarchy,
            BiPredicate<T, T> same) {
        List<InheritedStatement<T>> left = new ArrayList<>();
        for (InheritedStatement<T> word : words) {
            boolean overruled =
                    words.stream().anyMatch(other -> extendsIt(hierarchy, other.by, word.by));
            boolean again =
                    left.stream()
                            .anyMatch(
                                    other ->
                                            other.by == word.by
                                                    || same.test(other.what, word.what));
            if (!overruled && !again) {
                left.add(word);
            }
        }
        return left.size() == 1
                ? left.get(0)
                : new InheritedStatement<>(
                        left.get(0).what,
                        profile,
                        Optional.of(new Disagreement<>(profile, left)),
                        left.get(0).over);
    }

    private static boolean extendsIt(ProfileHierarchy hierarchy, int one, int other) {
        BitSet above = hierarchy.ancestors(one);
        return above.get(other);
    }
}
