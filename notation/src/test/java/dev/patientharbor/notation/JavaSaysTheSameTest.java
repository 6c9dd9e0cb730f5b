package dev.patientharbor.notation;

import static dev.patientharbor.profiles.DecoratorDefinition.by;
import static dev.patientharbor.profiles.DecoratorDefinition.delay;
import static dev.patientharbor.profiles.DecoratorDefinition.failAtRate;
import static dev.patientharbor.profiles.DecoratorDefinition.failEvery;
import static dev.patientharbor.profiles.DecoratorDefinition.spy;
import static dev.patientharbor.profiles.Supplies.answers;
import static dev.patientharbor.profiles.Supplies.asInherited;
import static dev.patientharbor.profiles.Supplies.factory;
import static dev.patientharbor.profiles.Supplies.fake;
import static dev.patientharbor.profiles.Supplies.keyedBy;
import static dev.patientharbor.profiles.Supplies.members;
import static dev.patientharbor.profiles.Supplies.mock;
import static dev.patientharbor.profiles.Supplies.none;
import static dev.patientharbor.profiles.Supplies.real;
import static dev.patientharbor.profiles.Supplies.removed;
import static dev.patientharbor.profiles.Supplies.sameAs;
import static dev.patientharbor.profiles.Supplies.stub;
import static dev.patientharbor.profiles.Supplies.toFill;
import static dev.patientharbor.profiles.Supplies.value;
import static java.nio.charset.StandardCharsets.UTF_8;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.plan.RosterNeed;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.profiles.SetDefinition;
import dev.patientharbor.terms.DemandKind;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.ReachRange;
import gullwing.crane.CraneShed;
import gullwing.port.FeeSchedule;
import gullwing.port.PerTide;
import gullwing.port.PilotRota;
import gullwing.port.PortClock;
import gullwing.port.RadioNotice;
import gullwing.port.TideGauge;
import gullwing.port.WeatherFeed;
import gullwing.quay.ArrivalDesk;
import gullwing.quay.BridgeWatch;
import gullwing.quay.FeeBoard;
import gullwing.quay.RadioRoom;
import gullwing.trial.CalmFeed;
import gullwing.trial.FixedTideGauge;
import gullwing.trial.MemoryBerthLedger;
import gullwing.works.CachedFeed;
import gullwing.works.Clocks;
import gullwing.works.DigitalTicketMaker;
import gullwing.works.FeeTally;
import gullwing.works.HarbourLevy;
import gullwing.works.NightSurcharge;
import gullwing.works.PaperTicketMaker;
import gullwing.works.SeasonPilotRota;
import gullwing.works.TonnageFee;
import gullwing.works.VhfRadioNotice;
import gullwing.works.WallClock;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Whatever a file says can be said in Java, and decides the same. */
class JavaSaysTheSameTest {

    private static final Path CLASSES = Path.of("../examples/target/classes");

    private static final String[] PACKAGES = {
        "gullwing.port", "gullwing.works", "gullwing.trial", "gullwing.quay", "gullwing.crane"
    };

    /** The ferry port, as its file says it. */
    static void port(SetDefinition set) {
        set.code(CLASSES);
        set.packages(PACKAGES);
        set.setting("call.sign", "GULL");
        set.marksLookup("Locator#find");
        set.marksScope(PerTide.class, Lifetime.SCOPED);
        set.entry("gullwing.quay.*", "gullwing.crane.CraneShed");
        set.order("dock-test", "winter", "rehearsal", "live");
        set.handler(RadioRoom.class, "answer", "ship");
        set.thing(
                "arrivals.page",
                new java.util.LinkedHashMap<>(
                        Map.of("ledger", "BerthLedger", "weather", "Optional<WeatherFeed>@coast")));
        set.area("lock").members("gullwing.quay.LockKeeper");
        set.area("crane").members("gullwing.crane.*");
        set.profile(
                "base",
                base -> {
                    base.partial();
                    base.fill("TideGauge", real("SonarTideGauge"));
                    base.fill("WeatherFeed@coast", real("CoastFeed"));
                    base.fill("WeatherFeed@estuary", real("EstuaryFeed"));
                    base.fill("WeatherFeed@offshore", real("OffshoreFeed"));
                    base.fill("WeatherFeed", sameAs("WeatherFeed@coast"));
                    base.fill(
                            "BerthLedger",
                            real("DiskBerthLedger").with("folder", "${BERTH_DIR:-berths}"));
                    base.fill("PilotRota", real("SeasonPilotRota"));
                    base.fill("PortClock", factory(Clocks.class, "wall"));
                    base.fill("FeeSchedule", real("TonnageFee"));
                    base.fill(
                            "RadioNotice",
                            real("VhfRadioNotice")
                                    .with("channel", 12)
                                    .with("callSign", "${call.sign}"));
                    base.fill("ManifestReader<Ship>", real("ShipManifestReader"));
                    base.fill("ManifestReader<Cargo>", real("CargoManifestReader"));
                    base.fill(
                            "TicketMaker@*",
                            keyedBy("kind", PaperTicketMaker.class, DigitalTicketMaker.class));
                    base.fill("PilotPager", toFill());
                    base.fill("CardTerminal", toFill());
                    base.decorate("FeeSchedule", HarbourLevy.class);
                    base.decorate("WeatherFeed@*", CachedFeed.class);
                    base.decorators("WeatherFeed@estuary").drop(CachedFeed.class);
                });
        set.profile(
                "dock-test",
                test -> {
                    test.extend("base");
                    test.fill("TideGauge", stub("FixedTideGauge"));
                    test.fill(
                            "BerthLedger",
                            fake("MemoryBerthLedger").because("no disk").owner("quay team"));
                    test.fill("PortClock", stub("StoppedClock"));
                    test.fill("RadioNotice", stub("SilentRadioNotice"));
                    test.fill("WeatherFeed@estuary", none());
                    test.fill("PilotPager", mock());
                    test.fill("CardTerminal", mock());
                    test.decorators("FeeSchedule").drop(HarbourLevy.class);
                    test.within("crane", crane -> crane.fill("TideGauge", fake("ReplayTideGauge")));
                    test.within("LockKeeper", it -> it.reach("outer", ReachRange.OUTSIDE));
                    test.within(
                            "lock",
                            lock ->
                                    lock.fill(
                                            "TideGauge",
                                            fake("ReplayTideGauge").lifetime(Lifetime.FRESH)));
                    test.rules(
                            rules -> rules.neverReal("PilotPager", "CardTerminal", "RadioNotice"));
                    test.expect(ArrivalDesk.class, "BerthLedger", MemoryBerthLedger.class);
                });
        set.profile(
                "winter",
                winter -> {
                    winter.extend("dock-test");
                    winter.fill(
                            "TideGauge",
                            answers(
                                    gauge -> {
                                        gauge.call("levelNow").answers("2.40");
                                        gauge.call("forecast", 3).answers(List.of(2.4, 2.9, 3.1));
                                        gauge.call("forecast")
                                                .fails(
                                                        IllegalStateException.class,
                                                        "the gauge is frozen");
                                    }));
                    winter.within("crane", crane -> crane.fill("TideGauge", removed()));
                    winter.within("lock", lock -> lock.fill("TideGauge", removed()));
                    winter.decorate(
                            "FeeSchedule", FeeTally.class, NightSurcharge.class, HarbourLevy.class);
                });
        set.profile(
                "rehearsal",
                it -> {
                    it.extend("base");
                    it.fill("TideGauge", fake("ReplayTideGauge").lifetime(Lifetime.FRESH));
                    it.fill("RadioNotice", real("NoticeRelay"));
                    it.fill("RadioNotice@tower", stub("SilentRadioNotice"));
                    it.fill("PilotPager", mock());
                    it.fill("CardTerminal", mock());
                    it.within(
                            "SeaWatch", sea -> sea.fill("WeatherFeed@offshore", stub("CalmFeed")));
                });
        set.profile(
                "live",
                live -> {
                    live.extend("base");
                    live.fill("RadioNotice", asInherited().with("channel", 16));
                    live.fill("PilotPager", real("BellPilotPager"));
                    live.fill("CardTerminal", real("BankCardTerminal"));
                    live.rules(
                            rules ->
                                    rules.standInsForbidden()
                                            .keys("WeatherFeed", "coast", "estuary", "offshore"));
                });
    }

    @Test
    void whatever_a_file_says_can_be_said_in_java_and_decides_the_same() {
        ProfileSet inJava = ProfileSet.define("Gullwing Ferry Port", JavaSaysTheSameTest::port);
        ProfileSet inFile = ProfileFiles.read(Path.of("../examples/port.harbor.yaml"));
        for (String profile : List.of("dock-test", "winter", "rehearsal", "live")) {
            assertEquals(
                    inFile.plan(profile).fingerprint(),
                    inJava.plan(profile).fingerprint(),
                    profile);
        }
        assertEquals(told(inFile.check()), told(inJava.check()));
        RosterNeed ledger = inJava.roster("live").of("ArrivalDesk").need("ledger");
        assertEquals("real DiskBerthLedger", ledger.received());
        assertTrue(ledger.isSameAs(inJava.roster("live").of("arrivals.page").need("ledger")));
    }

    static Set<String> told(Verdict verdict) {
        return verdict.allFindings().stream()
                .map(
                        finding ->
                                finding.kind().id()
                                        + ' '
                                        + finding.message().replaceAll(" at \\S+:\\d+", ""))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static final String REST =
            """
            patient-harbor: 1
            packages: [gullwing.port, gullwing.works, gullwing.trial, gullwing.quay, gullwing.crane]
            entry: [gullwing.quay.FeeBoard, gullwing.crane.CraneShed, gullwing.quay.BridgeWatch]
            default-lifetime: fresh
            fill-in: [sole]
            may-be-empty: [TicketMaker]
            areas:
              yard: { members: [gullwing.crane.**] }
              crane: { inside: yard, members: [gullwing.crane.CraneShed] }
            profiles:
              base:
                lifetime: shared
                eager: true
                bindings:
                  FeeSchedule: TonnageFee
                  PilotRota: { class: SeasonPilotRota, constructor: [gullwing.port.PortClock] }
                  PortClock: WallClock
                  TideGauge: { stub: FixedTideGauge }
                  WeatherFeed: { fake: CalmFeed }
                  RadioNotice: { class: VhfRadioNotice, with: [12, GULL] }
                  Set<WeatherFeed>@sea: { members: [CalmFeed, WeatherFeed] }
                  String@names: { value: a, as: stub }
                within:
                  crane: { reach: { gauge: { up-to: yard } } }
                  gullwing.quay.BridgeWatch: { bindings: { WeatherFeed: mock } }
                rules:
                  must-be-real: [FeeSchedule]
                  outermost: { FeeSchedule: NightSurcharge }
                  lifetimes: { FeeSchedule: shared }
                decorators: { FeeSchedule: [NightSurcharge] }
              loose:
                extends: base
                bindings:
                  RadioNotice: { stub: VhfRadioNotice, keep: [with] }
                  FeeSchedule: { fake: TonnageFee, lifetime: fresh }
                decorators: { FeeSchedule: { innermost: [HarbourLevy], outermost: [FeeTally] } }
                rules:
                  loosen:
                    must-be-real: { FeeSchedule: a trial }
                    outermost: { FeeSchedule: a trial }
                    lifetimes: { FeeSchedule: a trial }
                  stand-ins: forbidden
              looser:
                extends: loose
                rules: { loosen: { stand-ins: a trial } }
                decorators:
                  FeeSchedule:
                    innermost: [{ fail: { rate: 0.25, seed: 7, saying: no light } }, CachedFeed]
                    outermost: [{ delay: 20ms }]
              drill:
                extends: looser
                decorators:
                  FeeSchedule: { drop: [delay, FeeTally], outermost: [spy] }
                  WeatherFeed@*:
                    - { fail: { every: 3, with: java.io.UncheckedIOException, saying: no signal } }
                    - spy
            """;

    private static void rest(SetDefinition set) {
        set.code(CLASSES);
        set.packages(PACKAGES);
        set.entry(FeeBoard.class, CraneShed.class, BridgeWatch.class);
        set.lifetime(Lifetime.FRESH);
        set.fillIn(FillInSource.SOLE);
        set.mayBeEmpty("TicketMaker");
        set.area("yard").members("gullwing.crane.**");
        set.area("crane").inside("yard").members(CraneShed.class);
        set.profile(
                "base",
                base -> {
                    base.lifetime(Lifetime.SHARED);
                    base.eager(true);
                    base.fill(FeeSchedule.class, real(TonnageFee.class));
                    base.fill(
                            PilotRota.class,
                            real(SeasonPilotRota.class).byConstructor(PortClock.class));
                    base.fill(PortClock.class, real(WallClock.class));
                    base.fill(TideGauge.class, stub(FixedTideGauge.class));
                    base.fill(WeatherFeed.class, fake(CalmFeed.class));
                    base.fill(RadioNotice.class, real(VhfRadioNotice.class).withValues(12, "GULL"));
                    base.fill("Set<WeatherFeed>@sea", members("CalmFeed", "WeatherFeed"));
                    base.fill(String.class, "names", value("a").asStub());
                    base.within("crane", crane -> crane.reachUpTo("gauge", "yard"));
                    base.within(BridgeWatch.class, it -> it.fill(WeatherFeed.class, mock()));
                    base.rules(
                            rules ->
                                    rules.mustBeReal(FeeSchedule.class)
                                            .outermost(FeeSchedule.class, NightSurcharge.class)
                                            .lifetime(FeeSchedule.class, Lifetime.SHARED));
                    base.decorate(FeeSchedule.class, NightSurcharge.class);
                });
        set.profile(
                "loose",
                loose -> {
                    loose.extend("base");
                    loose.fill(RadioNotice.class, stub(VhfRadioNotice.class).keepingValues());
                    loose.fill(FeeSchedule.class, fake(TonnageFee.class).lifetime(Lifetime.FRESH));
                    loose.decorators(FeeSchedule.class)
                            .innermost(HarbourLevy.class)
                            .outermost(FeeTally.class);
                    loose.rules(
                            rules ->
                                    rules.loosen(
                                                    DemandKind.MUST_BE_REAL,
                                                    FeeSchedule.class,
                                                    "a trial")
                                            .loosen(
                                                    DemandKind.OUTERMOST,
                                                    FeeSchedule.class,
                                                    "a trial")
                                            .loosen(DemandKind.LIFETIME, "FeeSchedule", "a trial")
                                            .standInsForbidden());
                });
        set.profile(
                "looser",
                it -> {
                    it.extend("loose");
                    it.rules(rules -> rules.loosenStandIns("a trial"));
                    it.decorators("FeeSchedule")
                            .innermost(
                                    failAtRate(0.25, 7, IllegalStateException.class, "no light"),
                                    by("CachedFeed"))
                            .outermost(delay(Duration.ofMillis(20)));
                });
        set.profile(
                "drill",
                it -> {
                    it.extend("looser");
                    it.decorators(FeeSchedule.class)
                            .dropBuiltIn("delay")
                            .drop(FeeTally.class)
                            .outermost(spy());
                    it.decorate(
                            "WeatherFeed@*",
                            failEvery(3, UncheckedIOException.class, "no signal"),
                            spy());
                });
    }

    @Test
    void the_words_that_the_port_does_not_use_are_the_same_in_java_too() {
        ProfileSet inJava = ProfileSet.define("rest", JavaSaysTheSameTest::rest);
        ProfileSet inFile =
                ProfileFiles.parse(REST.getBytes(UTF_8), "rest", Path.of("")).withCode(CLASSES);
        assertEquals(told(inFile.check()), told(inJava.check()));
        assertTrue(told(inJava.check()).toString().contains("rule-broken"));
        for (String profile : List.of("base", "loose", "looser", "drill")) {
            assertEquals(
                    inFile.roster(profile).fingerprint(), inJava.roster(profile).fingerprint());
        }
        RosterNeed mocked = inJava.roster("base").of("BridgeWatch").need("weather");
        assertFalse(mocked.isSameAs(inJava.roster("base").of("BridgeWatch").need("gauge")));
        assertFalse(mocked.is(CalmFeed.class));
    }
}
