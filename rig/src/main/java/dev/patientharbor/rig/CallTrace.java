package dev.patientharbor.rig;

import dev.patientharbor.behaviours.CallRecord;
import dev.patientharbor.standins.Call;
import dev.patientharbor.texts.ShortName;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * Who called what, in the order in which calls were entered, as mocks, canned stubs and spies saw
 * it.
 */
public final class CallTrace {

    private final List<CallRecord.EnteredCall> entered;
    private final UnaryOperator<String> hide;

    /**
     * @param hide what is shown of a line: what came of settings is hidden
     */
    CallTrace(List<CallRecord.EnteredCall> entered, UnaryOperator<String> hide) {
        this.entered = List.copyOf(entered);
        this.hide = hide;
    }

    /** The calls, in order. */
    public List<Call> calls() {
        return entered.stream().map(CallRecord.EnteredCall::call).toList();
    }

    /**
     * One line for each call, those that were made in another one indented. What came of a setting
     * is shown as it was written, such as {@code ${PASSWORD}}.
     */
    public List<String> lines() {
        return entered.stream().map(call -> "  ".repeat(call.depth()) + line(call.call())).toList();
    }

    private String line(Call call) {
        String caller = call.caller().map(ShortName::of).orElse("?");
        return caller
                + " → "
                + call.slot()
                + ", "
                + call.target()
                + ": "
                + hide.apply(call.toString())
                + call.answer().map(answer -> " = " + hide.apply(Call.valueText(answer))).orElse("")
                + call.failure()
                        .map(failure -> " threw " + hide.apply(ThrownText.of(failure)))
                        .orElse("");
    }

    @Override
    public String toString() {
        return lines().stream().collect(Collectors.joining("\n"));
    }
}
