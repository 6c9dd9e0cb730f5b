package dev.patientharbor.drafting;

import java.util.List;

/** The objects of a hand wiring, from its entry consumers on. */
public final class WiredGraph {

    private final List<WiredObject> entries;
    private final SlotContents contents;

    WiredGraph(List<WiredObject> entries, SlotContents contents) {
        this.entries = List.copyOf(entries);
        this.contents = contents;
    }

    List<WiredObject> entries() {
        return entries;
    }

    SlotContents contents() {
        return contents;
    }
}
