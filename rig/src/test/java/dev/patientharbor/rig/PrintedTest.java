package dev.patientharbor.rig;

import static dev.patientharbor.profiles.Supplies.mock;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.profiles.Plan;
import dev.patientharbor.profiles.ProfileSet;
import gullwing.port.CardTerminal;
import gullwing.quay.ArrivalDesk;
import gullwing.quay.LockKeeper;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** What a failed assertion or a debugger shows of our objects reads like an answer. */
class PrintedTest {

    private static final ProfileSet PORT =
            ProfileFiles.read(Path.of("../examples/port.harbor.yaml"));

    @Test
    void sets_plans_rosters_and_rigs_are_printed_as_answers() {
        assertEquals("Gullwing Ferry Port: base, dock-test, winter, rehearsal, live", "" + PORT);
        Plan plan = PORT.plan("dock-test");
        assertEquals("plan of dock-test, " + plan.fingerprint(), "" + plan);
        Roster roster = plan.roster();
        assertEquals("stub FixedTideGauge", "" + roster.of(ArrivalDesk.class).need("gauge"));
        assertEquals(
                """
                LockKeeper (inner): fake ReplayTideGauge
                LockKeeper (outer): stub FixedTideGauge\
                """,
                "" + roster.of(LockKeeper.class));
        assertTrue(
                roster.toString()
                        .contains("\nDigitalTicketMaker as TicketMaker@digital (clock): stub"));
        try (Rig rig = Rigs.build(plan);
                Scope scope = rig.openScope()) {
            rig.get(LockKeeper.class);
            assertEquals(
                    "scope of the rig of dock-test: [LockKeeper, TideGauge]",
                    scope + ": " + rig.created());
        }
    }

    @Test
    void a_verdict_is_printed_with_its_profiles_and_findings() {
        String sound = PORT.check().toString();
        assertEquals(
                "Gullwing Ferry Port: base partial, dock-test complete, winter complete,"
                        + " rehearsal complete, live complete",
                sound.lines().findFirst().orElseThrow());
        assertEquals(3, sound.split("\nnote ").length - 1, sound);
        ProfileSet bare =
                ProfileSet.define(
                        "bare",
                        set -> {
                            set.entry(ArrivalDesk.class);
                            set.profile("desk", desk -> desk.fill(CardTerminal.class, mock()));
                        });
        String text = bare.check().toString();
        assertTrue(text.startsWith("bare: desk not complete\n\nerror unmet-need"), text);
        assertTrue(
                assertThrows(
                                IllegalArgumentException.class,
                                () ->
                                        PORT.plan("live")
                                                .solo(LockKeeper.class)
                                                .keeping(CardTerminal.class))
                        .getMessage()
                        .endsWith("does not need gullwing.port.CardTerminal; it needs TideGauge"));
    }
}
