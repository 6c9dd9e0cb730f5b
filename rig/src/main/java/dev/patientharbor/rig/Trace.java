package dev.patientharbor.rig;

import dev.patientharbor.model.ShortName;
import dev.patientharbor.standins.Call;
import dev.patientharbor.standins.CallRecord;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Who called what, in the order in which calls were entered, as mocks, canned stubs and spies saw
 * it.
 */
public final class Trace {

    private final List<CallRecord.Entered> entered;

    Trace(List<CallRecord.Entered> entered) {
        this.entered = List.copyOf(entered);
    }

    /** The calls, in order. */
    public List<Call> calls() {
        return entered.stream().map(CallRecord.Entered::call).toList();
    }

    /** One line for each call, those that were made in another one indented. */
    public List<String> lines() {
        return entered.stream().map(one -> "  ".repeat(one.depth()) + line(one.call())).toList();
    }

    private static String line(Call call) {
        String caller = call.caller().map(ShortName::of).orElse("?");
        return caller
                + " → "
                + call.slot()
                + ", "
                + call.target()
                + ": "
                + call
                + call.answer().map(answer -> " = " + Call.shown(answer)).orElse("")
                + call.failure().map(failure -> " threw " + failure).orElse("");
    }

    @Override
    public String toString() {
        return lines().stream().collect(Collectors.joining("\n"));
    }
}
