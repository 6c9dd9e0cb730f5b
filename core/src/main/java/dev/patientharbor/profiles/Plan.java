package dev.patientharbor.profiles;

import dev.patientharbor.assembly.Assembly;
import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.check.IncompleteProfileException;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.explaining.NeedExplanation;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.util.List;

/**
 * The whole answer for one profile that is complete: who receives what, and how its objects are
 * made. Nothing is loaded or made yet. Immutable; may be used by several threads.
 *
 * <pre>{@code
 * Plan test = ProfileFiles.read(Path.of("../examples/port.harbor.yaml")).plan("dock-test");
 * Plan calm = test.swap(TideGauge.class, () -> 4.0).swap(PilotRota.class, mock());
 * assertEquals("mock", calm.roster().of(NightDesk.class).need("rota").received());
 * assertNotEquals(test.fingerprint(), calm.fingerprint());
 * }</pre>
 */
public final class Plan {

    private final ProfileSet set;
    private final Verdict verdict;
    private final String profile;
    private Roster roster;
    private Assembly assembly;

    Plan(ProfileSet set, Verdict verdict, String profile) {
        this.set = set;
        this.verdict = verdict;
        this.profile = profile;
    }

    /** Returns the title of the set. */
    public String title() {
        return set.declared().title();
    }

    /** Returns the name of the profile, with what was swapped in it. */
    public String profile() {
        return profile;
    }

    /** Returns who receives what, to be asked consumer by consumer. */
    public synchronized Roster roster() {
        if (roster == null) {
            roster = assembly == null ? verdict.roster(profile) : assembly.roster();
        }
        return roster;
    }

    /**
     * Returns why a consumer receives what it does: all that was looked at, what won, what lost. Of
     * what was swapped in the plan shows the swap.
     *
     * @param need the name of the parameter or field
     * @throws IllegalArgumentException if there is no such consumer, or it has no such need
     */
    public NeedExplanation explain(Class<?> consumer, String need) {
        RequiredArgument.of(need, "need");
        roster().of(consumer).need(need);
        return verdict.explain(
                        profile,
                        row -> row.consumer().equals(consumer.getName()) && row.need().equals(need))
                .get(0);
    }

    /** Returns how its objects are made. For our own modules. */
    public synchronized Assembly assembly() {
        if (assembly == null) {
            assembly = verdict.assembly(profile);
        }
        return assembly;
    }

    /** Returns the slots that its objects fill, each once, in the order in which they are met. */
    public List<Slot> slots() {
        return assembly().parts().stream().map(AssemblyPart::slot).distinct().toList();
    }

    /** Returns a short text that is equal for equal decisions, wherever they were made. */
    public String fingerprint() {
        return roster().fingerprint();
    }

    @Override
    public String toString() {
        return "plan of " + profile + ", " + fingerprint();
    }

    /**
     * Returns another plan, in which an object fills a slot for whoever asks for it: in the whole
     * profile and in every area. It counts as a stub; the decorators of the slot stay around it.
     *
     * @throws IllegalArgumentException if nothing asks for the slot
     * @throws IncompleteProfileException if the profile is not complete with it
     */
    public <T> Plan swap(Class<T> contract, T object) {
        return swap(contract, Supplies.object(object).asStub());
    }

    /** Returns this plan with an object in a keyed slot. */
    public <T> Plan swap(Class<T> contract, String key, T object) {
        return swap(contract, key, Supplies.object(object).asStub());
    }

    /**
     * Returns this plan with another supply in the plain slot of a contract. A mock is one for the
     * whole profile, unless an area or a consumer has other decorators around it.
     */
    public Plan swap(Class<?> contract, SupplyDefinition supply) {
        RequiredArgument.of(supply, "supply");
        NameCollector names = new NameCollector();
        return swap(names.slot(contract), supply, names, CallerPositions.here());
    }

    /** Returns this plan with another supply in a keyed slot. */
    public Plan swap(Class<?> contract, String key, SupplyDefinition supply) {
        RequiredArgument.of(supply, "supply");
        NameCollector names = new NameCollector();
        return swap(names.slot(contract, key), supply, names, CallerPositions.here());
    }

    /**
     * Returns this plan with another supply in a slot that is written as in a file, such as {@code
     * ManifestReader<Ship>}.
     *
     * @throws IllegalArgumentException if the text is no slot, or nothing asks for it
     */
    public Plan swap(String slot, SupplyDefinition supply) {
        return swap(NameCollector.slot(slot), supply, new NameCollector(), CallerPositions.here());
    }

    private Plan swap(Slot slot, SupplyDefinition supply, NameCollector names, SourcePosition at) {
        RequiredArgument.of(supply, "what is to fill " + slot.text());
        Swap swap = Swap.of(this, slot);
        return swap.apply(supply.binding(swap.slot(), names, at), names);
    }

    /**
     * Returns a plan of one consumer alone: mocks replace all that it needs, but for what is kept.
     */
    public Solo solo(Class<?> consumer) {
        return new Solo(this, RequiredArgument.of(consumer, "a consumer"), CallerPositions.here());
    }

    /** The set of which it is a plan. */
    ProfileSet set() {
        return set;
    }
}
