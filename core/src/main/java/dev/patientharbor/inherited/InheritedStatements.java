package dev.patientharbor.inherited;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.function.IntConsumer;

/**
 * What holds for slots in one profile, by number. In pieces, which heirs share with their parents
 * until they say something themselves: most profiles say little of many slots.
 *
 * @param <T> what is said
 */
final class InheritedStatements<T> {

    private static final int BITS = 6;
    private static final int SIZE = 1 << BITS;

    private InheritedStatement<T>[][] pieces;
    private boolean[] isOwn;
    private final boolean inOneLine;

    private InheritedStatements(InheritedStatement<T>[][] pieces, boolean inOneLine) {
        this.pieces = pieces;
        this.inOneLine = inOneLine;
        isOwn = new boolean[pieces.length];
    }

    /** Returns what a profile inherits from its parents, as it is; nothing without a parent. */
    static <T> InheritedStatements<T> of(
            List<InheritedStatements<T>> parents,
            Function<List<InheritedStatement<T>>, InheritedStatement<T>> join) {
        if (parents.size() == 1) {
            InheritedStatements<T> parent = parents.get(0);
            return new InheritedStatements<>(parent.pieces.clone(), parent.inOneLine);
        }
        int length = 0;
        for (InheritedStatements<T> parent : parents) {
            length = Math.max(length, parent.pieces.length);
        }
        InheritedStatements<T> joined =
                new InheritedStatements<>(pieces(length), parents.isEmpty());
        for (int i = 0; i < length; i++) {
            List<InheritedStatement<T>[]> said = new ArrayList<>();
            for (InheritedStatements<T> parent : parents) {
                if (i < parent.pieces.length && parent.pieces[i] != null) {
                    said.add(parent.pieces[i]);
                }
            }
            if (!said.isEmpty()) {
                joined.pieces[i] = said.size() == 1 ? said.get(0) : joined(said, join);
            }
        }
        return joined;
    }

    private static <T> InheritedStatement<T>[] joined(
            List<InheritedStatement<T>[]> parents,
            Function<List<InheritedStatement<T>>, InheritedStatement<T>> join) {
        InheritedStatement<T>[] joined = piece();
        for (int at = 0; at < SIZE; at++) {
            List<InheritedStatement<T>> words = new ArrayList<>();
            for (InheritedStatement<T>[] parent : parents) {
                if (parent[at] != null) {
                    words.add(parent[at]);
                }
            }
            joined[at] = words.isEmpty() ? null : join.apply(words);
        }
        return joined;
    }

    @SuppressWarnings("unchecked")
    private static <T> InheritedStatement<T>[][] pieces(int length) {
        return (InheritedStatement<T>[][]) new InheritedStatement<?>[length][];
    }

    @SuppressWarnings("unchecked")
    private static <T> InheritedStatement<T>[] piece() {
        return (InheritedStatement<T>[]) new InheritedStatement<?>[SIZE];
    }

    /** Whether no profile on the way had several parents, which could disagree. */
    boolean inOneLine() {
        return inOneLine;
    }

    /** What holds for a slot; null for nothing. */
    InheritedStatement<T> get(int slot) {
        int piece = slot >> BITS;
        return piece < pieces.length && pieces[piece] != null
                ? pieces[piece][slot & SIZE - 1]
                : null;
    }

    void put(int slot, InheritedStatement<T> statement) {
        int piece = slot >> BITS;
        if (piece >= pieces.length) {
            pieces = Arrays.copyOf(pieces, piece + 1);
            isOwn = Arrays.copyOf(isOwn, piece + 1);
        }
        if (!isOwn[piece]) {
            pieces[piece] = pieces[piece] == null ? piece() : pieces[piece].clone();
            isOwn[piece] = true;
        }
        pieces[piece][slot & SIZE - 1] = statement;
    }

    /** Hands over the slots of which something is said, in order. */
    void eachSlot(IntConsumer visitor) {
        for (int piece = 0; piece < pieces.length; piece++) {
            if (pieces[piece] != null) {
                for (int at = 0; at < SIZE; at++) {
                    if (pieces[piece][at] != null) {
                        visitor.accept(piece << BITS | at);
                    }
                }
            }
        }
    }
}
