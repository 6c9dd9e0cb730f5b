package dev.patientharbor.profiles;

import dev.patientharbor.code.TestCode;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Expectation;
import dev.patientharbor.model.PlaceStatements;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.ProfileTerms;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.RequiredArgument;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Says one profile: all that a file can say of one. Not for several threads.
 *
 * <pre>{@code
 * ProfileSet port =
 *         ProfileSet.define(
 *                 "port",
 *                 set -> {
 *                     set.entry(FeeBoard.class, CraneShed.class);
 *                     set.area("crane").members(CraneShed.class);
 *                     set.profile(
 *                             "base",
 *                             base -> {
 *                                 base.partial();
 *                                 base.fill(FeeSchedule.class, real(TonnageFee.class));
 *                                 base.decorate(FeeSchedule.class, HarbourLevy.class);
 *                                 base.fill(PilotRota.class, mock());
 *                                 base.within(
 *                                         "crane",
 *                                         crane ->
 *                                                 crane.fill(
 *                                                         TideGauge.class,
 *                                                         stub(FixedTideGauge.class)));
 *                             });
 *                     set.profile(
 *                             "winter",
 *                             winter -> {
 *                                 winter.extend("base");
 *                                 winter.decorators(FeeSchedule.class)
 *                                         .outermost(NightSurcharge.class);
 *                                 winter.expect(
 *                                         FeeBoard.class,
 *                                         FeeSchedule.class,
 *                                         NightSurcharge.class,
 *                                         HarbourLevy.class,
 *                                         TonnageFee.class);
 *                             });
 *                 });
 * port.check().requireComplete("winter");
 * }</pre>
 */
public final class ProfileDefinition extends LevelDefinition {

    private final String name;
    private final SourcePosition at;
    private boolean partial;
    private final List<WrittenName> parents = new ArrayList<>();
    private final List<PlaceStatements> within = new ArrayList<>();
    private final List<WrittenName> code = new ArrayList<>();
    private Optional<Lifetime> lifetime = Optional.empty();
    private Optional<Boolean> eager = Optional.empty();
    private final RulesDefinition rules;
    private final List<Expectation> expectations = new ArrayList<>();

    ProfileDefinition(String name, NameCollector names, SourcePosition at) {
        super(names);
        this.name = name;
        this.at = at;
        rules = new RulesDefinition(names);
    }

    /** Makes this profile a partial one: it is there to be extended, and not checked by itself. */
    public void partial() {
        partial = true;
    }

    /** Names the profiles that this one extends: it has all that they say, and changes it. */
    public void extend(String... profiles) {
        RequiredArgument.of(profiles, "profiles");
        parents.addAll(NameCollector.written(profiles, CallerPositions.here()));
    }

    /** Says how long instances live in this profile where nothing else says it. */
    public void lifetime(Lifetime wanted) {
        RequiredArgument.of(wanted, "wanted");
        lifetime = Optional.of(wanted);
    }

    /** Has everything made at the start, not when it is first needed. */
    public void eager(boolean wanted) {
        eager = Optional.of(wanted);
    }

    /** Adds compiled code for this profile alone, beside the set's: a side. */
    public void code(Path... places) {
        RequiredArgument.each(places, "places");
        SourcePosition here = CallerPositions.here();
        Arrays.stream(places).forEach(path -> code.add(new WrittenName(path.toString(), here)));
    }

    /**
     * Says that this profile, and those that extend it, are the tests': they see code of the tests
     * as well. If no profile of a set that is said in Java says so, all of them are.
     */
    public void testCode() {
        code.add(new WrittenName(TestCode.WORD, CallerPositions.here()));
    }

    /** Says what holds for an area, a consumer, or whatever else is named in the set. */
    public void within(String place, Consumer<LevelDefinition> words) {
        RequiredArgument.of(words, "words");
        within(new WrittenName(place, CallerPositions.here()), words);
    }

    /** Says what holds for one consumer. */
    public void within(Class<?> consumer, Consumer<LevelDefinition> words) {
        RequiredArgument.of(words, "words");
        within(names().written(consumer, CallerPositions.here()), words);
    }

    private void within(WrittenName place, Consumer<LevelDefinition> words) {
        LevelDefinition level = new LevelDefinition(names());
        words.accept(level);
        within.add(new PlaceStatements(place, level.words()));
    }

    /** Says what must hold in it and in all that extend it. */
    public void rules(Consumer<RulesDefinition> words) {
        RequiredArgument.of(words, "words");
        words.accept(rules);
    }

    /** Expects a consumer to receive this class, or these decorators and at the end this class. */
    public void expect(Class<?> consumer, Class<?> contract, Class<?>... received) {
        RequiredArgument.of(received, "received");
        expect(consumer, names().slot(contract), received, CallerPositions.here());
    }

    /** Expects what a consumer receives in a slot that is written as in a file. */
    public void expect(Class<?> consumer, String slot, Class<?>... received) {
        RequiredArgument.of(received, "received");
        expect(consumer, NameCollector.slot(slot), received, CallerPositions.here());
    }

    private void expect(Class<?> consumer, Slot slot, Class<?>[] received, SourcePosition here) {
        if (received.length == 0) {
            throw new IllegalArgumentException(
                    "it is not said what " + consumer.getName() + " is to receive");
        }
        expectations.add(
                new Expectation(
                        names().written(consumer, here),
                        slot,
                        names().written(received, here),
                        here));
    }

    Profile profile() {
        ProfileTerms terms =
                new ProfileTerms(
                        code.isEmpty() ? Optional.empty() : Optional.of(code),
                        lifetime,
                        eager,
                        rules.demands(),
                        rules.loosenings(),
                        expectations);
        return new Profile(name, partial, parents, terms, words(), within, at);
    }
}
