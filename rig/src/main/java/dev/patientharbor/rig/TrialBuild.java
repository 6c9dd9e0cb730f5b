package dev.patientharbor.rig;

import dev.patientharbor.assembly.Assembly;
import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.profiles.Plan;
import dev.patientharbor.standins.NoMockMakerException;
import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/**
 * Makes everything of a profile once, which runs the user's constructors and factories, and closes
 * it. What is asked for comes before who asks, so that it is known at any time what is being made.
 */
public final class TrialBuild {

    private final Assembly assembly;
    private final Consumer<Attempt> before;
    private final Set<AssemblyPart> told = Collections.newSetFromMap(new IdentityHashMap<>());
    private final List<Finding> findings = new ArrayList<>();

    /**
     * Something that is about to be done, and may never end.
     *
     * @param cause what it is about: the slot of what is made, or the profile that is closed
     * @param at where that was said, or the class
     * @param message the sentence that tells its failure, but for the reason
     * @param doing whose code runs for it, such as {@code p.Sonar}
     */
    public record Attempt(String cause, SourcePosition at, String message, String doing) {
        public Attempt {
            RequiredArgument.of(cause, "cause");
            RequiredArgument.of(at, "at");
            RequiredArgument.of(message, "message");
            RequiredArgument.of(doing, "doing");
        }

        /**
         * The finding that it failed.
         *
         * @param what why, a part of a sentence
         * @param stack what was running then, or was thrown; empty if that is not known
         */
        public Finding failed(String what, StackTraceElement[] stack) {
            RequiredArgument.of(what, "what");
            RequiredArgument.of(stack, "stack");
            Finding finding =
                    Finding.of(FindingKinds.BUILD_FAILED, at, cause, message + ": " + what + ".");
            Optional<StackTraceElement> place = ThrownText.place(stack);
            return finding.with("in", place.map(StackTraceElement::toString).orElse(doing))
                    .with("do", "mend what makes it, or bind something else here");
        }
    }

    private TrialBuild(Assembly assembly, Consumer<Attempt> before) {
        this.assembly = assembly;
        this.before = before;
    }

    /**
     * Returns what cannot be made, once, whoever asks for it, and what cannot be closed.
     *
     * @param loader loads the user's classes
     */
    public static List<Finding> of(Plan plan, ClassLoader loader) {
        return of(plan, loader, attempt -> {});
    }

    /**
     * Returns what cannot be made or closed, and says before each attempt what it is.
     *
     * @param before hears of each thing before it is done: it may hang, or end the process
     */
    public static List<Finding> of(Plan plan, ClassLoader loader, Consumer<Attempt> before) {
        RequiredArgument.of(plan, "plan");
        RequiredArgument.of(loader, "loader");
        RequiredArgument.of(before, "before");
        return new TrialBuild(plan.assembly(), before).run(loader);
    }

    private List<Finding> run(ClassLoader loader) {
        String profile = assembly.roster().profile();
        before.accept(
                new Attempt(
                        profile,
                        SourcePosition.classNamed(profile),
                        "The profile " + profile + " cannot be built",
                        "its classes"));
        RigState state = new RigState(new StationTable(assembly, loader));
        Rig rig = new Rig(state);
        Scope scope = rig.openScope();
        for (ObjectStation station : inOrder(state.stations().all())) {
            make(station, scope.surroundings());
        }
        Attempt closing =
                new Attempt(
                        profile,
                        SourcePosition.classNamed(profile),
                        "The rig of " + profile + " cannot be closed",
                        "what closes its objects");
        before.accept(closing);
        try {
            rig.close();
        } catch (RigException failure) {
            String message = failure.getMessage() + ".";
            findings.add(
                    Finding.of(
                            FindingKinds.BUILD_FAILED,
                            SourcePosition.classNamed(
                                    failure.closed().map(Class::getName).orElse(profile)),
                            profile,
                            Character.toUpperCase(message.charAt(0)) + message.substring(1)));
        }
        return findings.stream().sorted(Finding.ORDER).toList();
    }

    /** Sorts stations so that what is asked for comes before what asks. */
    private static List<ObjectStation> inOrder(List<ObjectStation> all) {
        Set<ObjectStation> done = new LinkedHashSet<>();
        Set<ObjectStation> opened = new HashSet<>();
        Deque<ObjectStation> open = new ArrayDeque<>();
        for (ObjectStation station : all) {
            open.push(station);
            while (!open.isEmpty()) {
                ObjectStation next = open.peek();
                if (opened.add(next)) {
                    next.asks().stream()
                            .filter(asked -> !opened.contains(asked))
                            .forEach(open::push);
                } else {
                    open.pop();
                    done.add(next);
                }
            }
        }
        return List.copyOf(done);
    }

    private void make(ObjectStation station, InstanceStore at) {
        Optional<AssemblyPart.Made> made = station.part().made();
        if (made.isEmpty() || station instanceof MadeStation one && !one.standsForObject()) {
            return;
        }
        String doing =
                station instanceof MadeStation one
                        ? one.core().code()
                        : "the class of " + station.slot();
        before.accept(attempt(made.get(), doing));
        try {
            station.get(at);
        } catch (RigException failure) {
            // What a mock of a class lacks is reported by every check, and is no fault.
            if (!(failure.getCause() instanceof NoMockMakerException)) {
                failure.failure().ifPresent(cause -> addFailure(cause, doing, failure));
            }
        }
    }

    private void addFailure(RigException.Failure failure, String doing, RigException thrown) {
        if (told.add(failure.made())) {
            Throwable cause = thrown.getCause();
            StackTraceElement[] stack =
                    cause == null
                            ? new StackTraceElement[0]
                            : ThrownText.place(cause)
                                    .map(frame -> new StackTraceElement[] {frame})
                                    .orElse(new StackTraceElement[0]);
            findings.add(attempt(failure.made(), doing).failed(failure.what(), stack));
        }
    }

    private Attempt attempt(AssemblyPart.Made made, String doing) {
        String slot = RigWording.slot(made.slot());
        return new Attempt(
                slot,
                made.origin().orElseGet(() -> SourcePosition.classNamed(slot)),
                "No " + slot + " can be made in " + assembly.roster().profile(),
                doing);
    }
}
