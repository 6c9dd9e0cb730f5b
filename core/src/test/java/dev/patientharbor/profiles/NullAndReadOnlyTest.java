package dev.patientharbor.profiles;

import static dev.patientharbor.profiles.Supplies.factory;
import static dev.patientharbor.profiles.Supplies.mock;
import static dev.patientharbor.profiles.Supplies.object;
import static dev.patientharbor.profiles.Supplies.real;
import static dev.patientharbor.profiles.Supplies.value;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.GivenArguments;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.plan.AnswerKind;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.function.Executable;

/** The Java API says what is null, and nothing that it hands out can be changed. */
class NullAndReadOnlyTest {

    interface Clock {}

    static class Wall implements Clock {}

    static class Desk {
        Desk(Clock clock) {}
    }

    private static final ProfileSet SET = set(real(Wall.class));

    private static ProfileSet set(SupplyDefinition clock) {
        return ProfileSet.define(
                "nulls",
                set -> {
                    set.entry(Desk.class);
                    set.profile("test", test -> test.fill(Clock.class, clock));
                });
    }

    private static final Map<String, Executable> CALLS =
            Map.ofEntries(
                    Map.entry("plan", () -> SET.plan(null)),
                    Map.entry("roster", () -> SET.roster(null)),
                    Map.entry("roster of a class", () -> SET.roster("test").of((Class<?>) null)),
                    Map.entry("roster of a name", () -> SET.roster("test").of((String) null)),
                    Map.entry("need", () -> SET.roster("test").of(Desk.class).need(null)),
                    Map.entry("swap a class", () -> SET.plan("test").swap((Class<?>) null, mock())),
                    Map.entry(
                            "swap by nothing",
                            () -> SET.plan("test").swap(Clock.class, (SupplyDefinition) null)),
                    Map.entry("solo", () -> SET.plan("test").solo(null)),
                    Map.entry("fill", () -> set(null)),
                    Map.entry("real", () -> set(real((Class<?>) null))),
                    Map.entry("real by name", () -> set(real((String) null))),
                    Map.entry("with", () -> set(real(Wall.class).with("folder", null))),
                    Map.entry("with values", () -> set(real(Wall.class).withValues(1, null))),
                    Map.entry("value", () -> set(value(null))),
                    Map.entry("object", () -> set(object(null))),
                    Map.entry("factory", () -> set(factory(Wall.class, null))));

    @TestFactory
    Stream<DynamicTest> a_null_argument_is_told_by_what_it_should_have_been() {
        return CALLS.entrySet().stream()
                .map(
                        call ->
                                DynamicTest.dynamicTest(
                                        call.getKey(),
                                        () -> {
                                            String message =
                                                    assertThrows(
                                                                    IllegalArgumentException.class,
                                                                    call.getValue())
                                                            .getMessage();
                                            assertTrue(
                                                    message.matches("[a-z].* is null.*"), message);
                                        }));
    }

    @Test
    void what_is_handed_out_cannot_be_changed() {
        SourcePosition at = SourcePosition.classNamed("p.A");
        GivenValue text = new GivenValue.Text("a", at);
        List<Map<String, GivenValue>> maps =
                List.of(
                        GivenArguments.NOTHING.named(),
                        new GivenArguments(new LinkedHashMap<>(), List.of()).named(),
                        new GivenValue.Fields(new LinkedHashMap<>(), at).fields());
        for (Map<String, GivenValue> map : maps) {
            assertThrows(UnsupportedOperationException.class, () -> map.put("b", text));
        }
        var use =
                new dev.patientharbor.check.Coverage.Use(
                        dev.patientharbor.terms.Slot.of("p.A"),
                        List.of(EnumSet.of(AnswerKind.REAL)),
                        Optional.empty());
        assertThrows(
                UnsupportedOperationException.class, () -> use.kinds().get(0).add(AnswerKind.MOCK));
    }
}
