package dev.patientharbor.model;

/** What a supply does to the slot that is bound to it. */
public enum SupplyEffect {
    /** Something stands in it. */
    FILLS,
    /** Nothing stands in it, on purpose. */
    LEAVES_EMPTY,
    /** A profile that extends this one must say what stands in it. */
    LEAVES_OPEN,
    /** It is as if the inherited binding had never been. */
    REMOVES,
    /** The inherited supply stands in it. */
    KEEPS
}
