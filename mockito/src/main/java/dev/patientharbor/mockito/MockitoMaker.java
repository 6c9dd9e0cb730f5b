package dev.patientharbor.mockito;

import dev.patientharbor.standins.Call;
import dev.patientharbor.standins.NeutralAnswers;
import dev.patientharbor.standins.StandInMaker;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.Consumer;
import org.mockito.Answers;
import org.mockito.Mockito;
import org.mockito.invocation.InvocationOnMock;
import org.mockito.listeners.MethodInvocationReport;
import org.mockito.stubbing.Answer;

/**
 * Makes mocks by Mockito: of interfaces, abstract and concrete classes. Until they are told what to
 * answer they answer as the built-in ones do. May be used by several threads.
 */
public final class MockitoMaker implements StandInMaker {

    @Override
    public boolean canMake(Class<?> contract) {
        return Mockito.framework().getPlugins().getInlineMockMaker().isTypeMockable(contract).mockable();
    }

    @Override
    public Object make(Class<?> contract, String slot, Consumer<Call> seen) {
        return Mockito.mock(
                contract,
                Mockito.withSettings()
                        .name("mock of " + slot)
                        .defaultAnswer(new Neutral())
                        .invocationListeners(report -> seen.accept(call(report, slot))));
    }

    /** Runs default methods of interfaces, and is neutral in all else. */
    private static final class Neutral implements Answer<Object> {
        @Override
        public Object answer(InvocationOnMock call) throws Throwable {
            if (call.getMethod().isDefault()) {
                return Answers.CALLS_REAL_METHODS.answer(call);
            }
            Object neutral = NeutralAnswers.of(call.getMethod().getReturnType());
            return neutral == null ? Answers.RETURNS_DEFAULTS.answer(call) : neutral;
        }
    }

    private static Call call(MethodInvocationReport report, String slot) {
        InvocationOnMock made = (InvocationOnMock) report.getInvocation();
        return new Call(
                slot,
                "mock",
                made.getMethod(),
                Arrays.asList(made.getArguments()),
                Optional.ofNullable(report.getReturnedValue()),
                Optional.ofNullable(report.getThrowable()),
                Optional.empty());
    }
}
