package dev.patientharbor.rig;

import dev.patientharbor.behaviours.CallRecord;
import dev.patientharbor.behaviours.RecordedAnswers;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.plan.SlotRecording;
import dev.patientharbor.standins.Call;
import dev.patientharbor.standins.StandInMaker;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * The live objects of one plan. Nothing can be bound any more, and nothing of it is shared with
 * another rig. Objects are made when they are first needed, or at the start where the profile is
 * eager; closing it closes what it made. May be used by several threads.
 *
 * <pre>{@code
 * Plan test = ProfileFiles.read(Path.of("../examples/port.harbor.yaml")).plan("dock-test");
 * try (Rig rig = Rigs.build(test)) {
 *     assertEquals(2.40, rig.get(TideGauge.class).levelNow());
 *     assertSame(rig.get(BerthLedger.class), rig.received(BerthClerk.class, "ledger").outermost());
 * }
 * }</pre>
 */
public final class Rig extends ObjectSource implements AutoCloseable {

    Rig(RigState state) {
        super(state);
    }

    @Override
    InstanceStore store() {
        return live().here();
    }

    @Override
    Object handedOutAgain(Class<?> asked) {
        return live().wholeRig().handedOut(asked);
    }

    /** The name of the profile, with what was swapped in it. */
    public String profile() {
        return live().profile();
    }

    /** Who receives what in it. */
    public Roster roster() {
        return live().stations().assembly().roster();
    }

    /** The fingerprint of its plan. */
    public String fingerprint() {
        return roster().fingerprint();
    }

    /** Returns the places of the objects that were made so far, each the only one of its place. */
    public List<Answer.Seat> created() {
        return live().stations().all().stream()
                .filter(station -> station instanceof MadeStation made && isCreated(made))
                .map(station -> station.part().seat())
                .toList();
    }

    private boolean isCreated(MadeStation station) {
        return station.isShared() && live().wholeRig().kept(station.number()) != null;
    }

    /**
     * Opens a scope, and has it be the current one of this thread until it is closed: what lives in
     * a scope is one object in it.
     */
    public Scope openScope() {
        live().wholeRig().requireOpen();
        Scope scope = new Scope(live());
        live().scopes().current(scope);
        return scope;
    }

    /**
     * Returns what one consumer holds: the very object, seen through its layers.
     *
     * @param consumer an entry consumer, or any other class that the plan makes
     * @param need the name of the parameter or field
     * @throws IllegalArgumentException if the plan makes no such consumer, makes it in several
     *     places, or it has no such need
     */
    public HeldObject received(Class<?> consumer, String need) {
        RequiredArgument.of(consumer, "consumer");
        RequiredArgument.of(need, "need");
        return new HeldObjectFinder(live()).of(consumer, need, store());
    }

    /**
     * Fills the static members of classes that have the standard's mark, {@code Named} keys
     * included, each once in a rig; nobody does so unasked, for what is static outlives the rig.
     *
     * @throws IllegalArgumentException if the plan has nothing for one of them, which is named
     */
    public void fillStatics(Class<?>... types) {
        RequiredArgument.each(types, "types");
        for (Class<?> type : types) {
            new StaticMembers(this, live().extras().filledStatics()).fill(type);
        }
    }

    /**
     * Hands over what is looked up in the middle of methods, once for each slot, so that the
     * house's own locator can be filled with it.
     */
    public void eachLookup(LookupFiller filler) {
        RequiredArgument.of(filler, "filler");
        Set<Slot> seen = new HashSet<>();
        for (RosterRow row : roster().rows()) {
            boolean isLookup = row.place().kind() == NeedPlace.Kind.LOOKUP;
            if (isLookup && row.answer().fills().isPresent() && seen.add(row.slot())) {
                filler.fill(
                        live().stations().classes().erased(row.slot().contract()),
                        row.slot().key().map(Key::text),
                        held(row.answer().fills().get()).outermost());
            }
        }
    }

    /**
     * The calls of the plain slot of a contract that its mock, its canned stub or a spy saw, or a
     * mock of one's own (without what it answered), in order. Where one of them is inside of
     * another the outer one's count: these are the calls of consumers, and {@link #trace()} tells
     * the others too.
     *
     * @throws IllegalArgumentException if there is no such slot, or nobody sees its calls: none
     *     that were seen would prove nothing
     */
    public List<Call> calls(Class<?> contract) {
        return calls(contract, Optional.empty());
    }

    /** The calls of a keyed slot. */
    public List<Call> calls(Class<?> contract, String key) {
        return calls(contract, key(key));
    }

    /** The calls of the slot of a contract with type arguments. */
    public List<Call> calls(Contract<?> contract) {
        return calls(type(contract), Optional.empty());
    }

    /** The calls of a keyed slot of a contract with type arguments. */
    public List<Call> calls(Contract<?> contract, String key) {
        return calls(type(contract), key(key));
    }

    private List<Call> calls(Type contract, Optional<String> key) {
        RequiredArgument.of(contract, "contract");
        Slot slot = aliasedSlot(known(contract, key));
        CallObservers observers = watches(slot);
        if (observers.isEmpty()) {
            Object core = held(contract, key).innermost();
            for (StandInMaker maker : live().stations().makers()) {
                Optional<List<Call>> seen = maker.calls(core, RigWording.slot(slot));
                if (seen.isPresent()) {
                    return seen.get();
                }
            }
            throw new IllegalArgumentException(
                    "nobody sees the calls of "
                            + RigWording.slot(slot)
                            + " in "
                            + profile()
                            + ", for it is no mock and no stub with canned answers: decorate it"
                            + " with spy");
        }
        return calls(slot, call -> !observers.sawBefore(call));
    }

    private List<Call> calls(Slot slot, Predicate<CallRecord.EnteredCall> counts) {
        return live().calls().all().stream()
                .filter(call -> call.place().slot().equals(slot) && counts.test(call))
                .map(CallRecord.EnteredCall::call)
                .toList();
    }

    private CallObservers watches(Slot slot) {
        return new CallObservers(live().stations().assembly().parts(), slot);
    }

    /**
     * Returns what a spy saw of the plain slot of a contract, as the canned answers of a stub that
     * does the same; {@code RecordingFiles} writes them to a file. Of several spies in each other
     * it is the innermost, for a stub stands where the core does.
     *
     * @throws IllegalArgumentException if there is no such slot, nothing was seen, or an argument
     *     or an answer cannot be written as a value
     */
    public SlotRecording recording(Class<?> contract) {
        return recording(contract, Optional.empty());
    }

    /** Returns what a spy saw of a keyed slot, as canned answers. */
    public SlotRecording recording(Class<?> contract, String key) {
        return recording(contract, key(key));
    }

    /** Returns what a spy saw of a contract with type arguments, as canned answers. */
    public SlotRecording recording(Contract<?> contract) {
        return recording(type(contract), Optional.empty());
    }

    /**
     * Returns what a spy saw of a keyed slot of a contract with type arguments, as canned answers.
     */
    public SlotRecording recording(Contract<?> contract, String key) {
        return recording(type(contract), key(key));
    }

    private SlotRecording recording(Type contract, Optional<String> key) {
        RequiredArgument.of(contract, "contract");
        Slot slot = aliasedSlot(known(contract, key));
        List<Call> seen = calls(slot, watches(slot)::isInnermost);
        if (seen.isEmpty()) {
            throw new IllegalArgumentException(
                    "nobody saw a call of "
                            + RigWording.slot(known(contract, key))
                            + " in "
                            + profile()
                            + ": decorate it with spy, and call it");
        }
        SourcePosition at = SourcePosition.classNamed(contract.getTypeName());
        return new SlotRecording(
                known(contract, key),
                new RecordedAnswers(live().stations().values(), at).answers(seen));
    }

    /** Returns everything that mocks, canned stubs and spies saw so far, in order. */
    public CallTrace trace() {
        return new CallTrace(live().calls().all(), live().stations().values()::hidden);
    }

    /** Returns what was used so far, beside what the plan says. */
    public RigUsage usage() {
        return new UsageMaker(live()).usage();
    }

    /**
     * Closes scopes that are open, and then what was made, the last first; the second time nothing
     * happens.
     *
     * @throws RigException if something could not be closed, with all failures; all else is closed
     * @throws IllegalStateException if an object closes it that is being made in it
     */
    @Override
    public void close() {
        live().wholeRig().requireNothingBeingMade();
        List<Scope> scopes = live().openScopes();
        if (scopes.isEmpty()) {
            live().wholeRig().close();
            return;
        }
        List<RuntimeException> failures = new ArrayList<>();
        scopes.forEach(scope -> attempt(scope::close, failures));
        attempt(live().wholeRig()::close, failures);
        if (!failures.isEmpty()) {
            failures.subList(1, failures.size()).forEach(failures.get(0)::addSuppressed);
            throw failures.get(0);
        }
    }

    private static void attempt(Runnable closing, List<RuntimeException> failures) {
        try {
            closing.run();
        } catch (RuntimeException failure) {
            failures.add(failure);
        }
    }

    @Override
    public String toString() {
        return "rig of " + profile() + ", plan " + fingerprint();
    }
}
