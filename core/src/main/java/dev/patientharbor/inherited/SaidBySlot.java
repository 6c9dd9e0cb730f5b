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
final class SaidBySlot<T> {

    private static final int BITS = 6;
    private static final int SIZE = 1 << BITS;

    private Said<T>[][] pieces;
    private boolean[] isOwn;

    private SaidBySlot(Said<T>[][] pieces) {
        this.pieces = pieces;
        isOwn = new boolean[pieces.length];
    }

    /** What one profile inherits, as it is; nothing of no parent. */
    static <T> SaidBySlot<T> of(
            List<SaidBySlot<T>> parents, Function<List<Said<T>>, Said<T>> join) {
        if (parents.size() == 1) {
            return new SaidBySlot<>(parents.get(0).pieces.clone());
        }
        int length = parents.stream().mapToInt(one -> one.pieces.length).max().orElse(0);
        SaidBySlot<T> joined = new SaidBySlot<>(pieces(length));
        for (int i = 0; i < length; i++) {
            List<Said<T>[]> said = new ArrayList<>();
            for (SaidBySlot<T> parent : parents) {
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

    private static <T> Said<T>[] joined(
            List<Said<T>[]> parents, Function<List<Said<T>>, Said<T>> join) {
        Said<T>[] joined = piece();
        for (int at = 0; at < SIZE; at++) {
            List<Said<T>> words = new ArrayList<>();
            for (Said<T>[] one : parents) {
                if (one[at] != null) {
                    words.add(one[at]);
                }
            }
            joined[at] = words.isEmpty() ? null : join.apply(words);
        }
        return joined;
    }

    @SuppressWarnings("unchecked")
    private static <T> Said<T>[][] pieces(int length) {
        return (Said<T>[][]) new Said<?>[length][];
    }

    @SuppressWarnings("unchecked")
    private static <T> Said<T>[] piece() {
        return (Said<T>[]) new Said<?>[SIZE];
    }

    /** What holds for a slot; null for nothing. */
    Said<T> get(int slot) {
        int piece = slot >> BITS;
        return piece < pieces.length && pieces[piece] != null
                ? pieces[piece][slot & SIZE - 1]
                : null;
    }

    void put(int slot, Said<T> said) {
        int piece = slot >> BITS;
        if (piece >= pieces.length) {
            pieces = Arrays.copyOf(pieces, piece + 1);
            isOwn = Arrays.copyOf(isOwn, piece + 1);
        }
        if (!isOwn[piece]) {
            pieces[piece] = pieces[piece] == null ? piece() : pieces[piece].clone();
            isOwn[piece] = true;
        }
        pieces[piece][slot & SIZE - 1] = said;
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
