package dev.patientharbor.profiles;

import static org.junit.jupiter.api.Assertions.assertThrows;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.GivenArguments;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.plan.AnswerKind;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Nothing that the Java API hands out can be changed. */
class ReadOnlyTest {

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
                        Optional.empty(),
                        List.of());
        assertThrows(
                UnsupportedOperationException.class, () -> use.kinds().get(0).add(AnswerKind.MOCK));
    }
}
