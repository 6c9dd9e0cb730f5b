package dev.patientharbor.model;

/** The kinds of supplies, one for each record in {@link Supply}: whoever decides goes by these. */
public enum SupplyForm {
    CLASS(SupplyEffect.FILLS),
    FACTORY(SupplyEffect.FILLS),
    MOCK(SupplyEffect.FILLS),
    ANSWERS(SupplyEffect.FILLS),
    VALUE(SupplyEffect.FILLS),
    OBJECT(SupplyEffect.FILLS),
    CALL(SupplyEffect.FILLS),
    STATED_KEYS(SupplyEffect.FILLS),
    MEMBERS(SupplyEffect.FILLS),
    SAME_AS(SupplyEffect.FILLS),
    NONE(SupplyEffect.LEAVES_EMPTY),
    INHERITED(SupplyEffect.KEEPS),
    REMOVED(SupplyEffect.REMOVES),
    TO_FILL(SupplyEffect.LEAVES_OPEN);

    private final SupplyEffect effect;

    SupplyForm(SupplyEffect effect) {
        this.effect = effect;
    }

    /** What it does to the slot. */
    SupplyEffect effect() {
        return effect;
    }
}
