package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Demand;
import dev.patientharbor.model.Loosening;
import dev.patientharbor.survey.TouchKind;
import dev.patientharbor.terms.DemandKind;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Says what must hold in a profile and in all that extend it. Slots are classes, or texts as in a
 * file.
 *
 * <pre>{@code
 * ProfileSet port =
 *         ProfileSet.define(
 *                 "port",
 *                 set -> {
 *                     set.entry(NightDesk.class);
 *                     set.profile(
 *                             "test",
 *                             test -> {
 *                                 test.fill(PilotRota.class, mock());
 *                                 test.fill(PilotPager.class, mock());
 *                                 test.rules(rules -> rules.neverReal(PilotPager.class));
 *                             });
 *                     set.profile(
 *                             "drill",
 *                             drill -> {
 *                                 drill.extend("test");
 *                                 drill.fill(PilotPager.class, real(BellPilotPager.class));
 *                                 drill.rules(
 *                                         rules ->
 *                                                 rules.loosen(
 *                                                         DemandKind.NEVER_REAL,
 *                                                         PilotPager.class,
 *                                                         "the crew is told beforehand"));
 *                             });
 *                 });
 * port.check().requireComplete();
 * }</pre>
 */
public final class RulesDefinition {

    private final NameCollector names;
    private final List<Demand> demands = new ArrayList<>();
    private final List<Loosening> loosenings = new ArrayList<>();

    RulesDefinition(NameCollector names) {
        this.names = names;
    }

    /** Forbids every fake, stub and mock. */
    public RulesDefinition standInsForbidden() {
        add(
                DemandKind.NO_STAND_INS,
                Optional.empty(),
                List.of(),
                Optional.empty(),
                CallerPositions.here());
        return this;
    }

    /** Demands the real thing in these slots, whatever the key and the level. */
    public RulesDefinition mustBeReal(Object... slots) {
        RequiredArgument.each(slots, "slots");
        each(DemandKind.MUST_BE_REAL, slots, CallerPositions.here());
        return this;
    }

    /** Forbids the real thing in these slots, used or not. */
    public RulesDefinition neverReal(Object... slots) {
        RequiredArgument.each(slots, "slots");
        each(DemandKind.NEVER_REAL, slots, CallerPositions.here());
        return this;
    }

    /** Demands that these keys of a contract are served. */
    public RulesDefinition keys(Object slot, String... keys) {
        RequiredArgument.of(keys, "keys");
        SourcePosition at = CallerPositions.here();
        add(DemandKind.KEYS, slot(slot), NameCollector.written(keys, at), Optional.empty(), at);
        return this;
    }

    /** Demands that this decorator is the outermost of a slot. */
    public RulesDefinition outermost(Object slot, Class<?> decorator) {
        SourcePosition at = CallerPositions.here();
        List<WrittenName> layer = List.of(names.written(decorator, at));
        add(DemandKind.OUTERMOST, slot(slot), layer, Optional.empty(), at);
        return this;
    }

    /** Demands a lifetime of what fills a slot. */
    public RulesDefinition lifetime(Object slot, Lifetime lifetime) {
        RequiredArgument.of(lifetime, "lifetime");
        add(
                DemandKind.LIFETIME,
                slot(slot),
                List.of(),
                Optional.of(lifetime),
                CallerPositions.here());
        return this;
    }

    /** Demands that nothing in the plan reaches these things outside. */
    public RulesDefinition untouched(TouchKind... kinds) {
        RequiredArgument.each(kinds, "kinds");
        SourcePosition at = CallerPositions.here();
        for (TouchKind kind : kinds) {
            List<WrittenName> word = List.of(new WrittenName(kind.word(), at));
            add(DemandKind.UNTOUCHED, Optional.empty(), word, Optional.empty(), at);
        }
        return this;
    }

    /** Frees this profile from a parent's rule that nothing is touched, and says why. */
    public RulesDefinition loosenUntouched(String because) {
        return loosen(DemandKind.UNTOUCHED, RequiredArgument.of(because, "because"));
    }

    /** Frees this profile from a rule of a parent about a slot, and says why. */
    public RulesDefinition loosen(DemandKind rule, Object slot, String because) {
        RequiredArgument.of(rule, "rule");
        RequiredArgument.of(because, "because");
        loosenings.add(new Loosening(rule, slot(slot), because, CallerPositions.here()));
        return this;
    }

    /** Frees this profile from a parent's rule that forbids stand-ins, and says why. */
    public RulesDefinition loosenStandIns(String because) {
        return loosen(DemandKind.NO_STAND_INS, RequiredArgument.of(because, "because"));
    }

    private RulesDefinition loosen(DemandKind rule, String because) {
        loosenings.add(new Loosening(rule, Optional.empty(), because, CallerPositions.here()));
        return this;
    }

    private void each(DemandKind kind, Object[] slots, SourcePosition at) {
        for (Object one : slots) {
            add(kind, slot(one), List.of(), Optional.empty(), at);
        }
    }

    private Optional<Slot> slot(Object slot) {
        RequiredArgument.of(slot, "slot");
        if (slot instanceof Class<?> contract) {
            return Optional.of(names.slot(contract));
        }
        if (slot instanceof String text) {
            return Optional.of(NameCollector.slot(text));
        }
        throw new IllegalArgumentException("a slot is a class or a text, not " + slot);
    }

    private void add(
            DemandKind kind,
            Optional<Slot> slot,
            List<WrittenName> words,
            Optional<Lifetime> lifetime,
            SourcePosition at) {
        demands.add(new Demand(kind, slot, words, lifetime, at));
    }

    List<Demand> demands() {
        return demands;
    }

    List<Loosening> loosenings() {
        return loosenings;
    }
}
