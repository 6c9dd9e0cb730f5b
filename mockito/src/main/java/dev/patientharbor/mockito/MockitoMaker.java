package dev.patientharbor.mockito;

import dev.patientharbor.standins.Call;
import dev.patientharbor.standins.CallLog;
import dev.patientharbor.standins.NeutralAnswers;
import dev.patientharbor.standins.StandInMaker;
import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.mockito.Answers;
import org.mockito.MockMakers;
import org.mockito.Mockito;
import org.mockito.invocation.Invocation;
import org.mockito.invocation.InvocationOnMock;
import org.mockito.listeners.InvocationListener;
import org.mockito.listeners.MethodInvocationReport;
import org.mockito.stubbing.Answer;

/**
 * Makes mocks by Mockito: of interfaces, abstract and concrete classes. Until they are told what to
 * answer they answer as the built-in ones do. May be used by several threads.
 */
public final class MockitoMaker implements StandInMaker {

    private static final List<String> OURS =
            List.of("dev.patientharbor.", "org.mockito.", "java.", "jdk.");

    @Override
    public boolean canMake(Class<?> contract) {
        return Mockito.framework()
                .getPlugins()
                .getMockMaker(MockMakers.INLINE)
                .isTypeMockable(contract)
                .mockable();
    }

    @Override
    public Object make(Class<?> contract, String slot, CallLog seen) {
        Calls calls = new Calls(slot, seen);
        Object mock =
                Mockito.mock(
                        contract,
                        Mockito.withSettings()
                                .name("mock of " + slot)
                                .defaultAnswer(new Neutral())
                                .invocationListeners(calls));
        calls.mock = mock;
        return mock;
    }

    @Override
    public Optional<List<Call>> calls(Object mock, String slot) {
        if (!Mockito.mockingDetails(mock).isMock()) {
            return Optional.empty();
        }
        return Optional.of(
                Mockito.mockingDetails(mock).getInvocations().stream()
                        .filter(invocation -> !isOfEveryObject(invocation.getMethod()))
                        .map(invocation -> unanswered(invocation, slot))
                        .toList());
    }

    private static Call unanswered(Invocation made, String slot) {
        return new Call(
                slot,
                "mock",
                made.getMethod(),
                Arrays.asList(made.getArguments()),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Tells of the calls of one mock, as long as Mockito counts them. */
    private static final class Calls implements InvocationListener {
        private final String slot;
        private final CallLog seen;
        private final Supplier<Collection<Invocation>> known = this::known;
        private Object mock;

        Calls(String slot, CallLog seen) {
            this.slot = slot;
            this.seen = seen;
        }

        @Override
        public void reportInvocation(MethodInvocationReport report) {
            if (!isOfEveryObject(((InvocationOnMock) report.getInvocation()).getMethod())) {
                seen.add(call(report, slot), report.getInvocation(), known);
            }
        }

        private Collection<Invocation> known() {
            return Mockito.mockingDetails(mock).getInvocations();
        }
    }

    /** Runs default methods of interfaces, and is neutral in all else. */
    private static final class Neutral implements Answer<Object> {
        @Override
        public Object answer(InvocationOnMock call) throws Throwable {
            if (isOfEveryObject(call.getMethod())) {
                return Answers.RETURNS_DEFAULTS.answer(call);
            }
            if (call.getMethod().isDefault()) {
                return Answers.CALLS_REAL_METHODS.answer(call);
            }
            Object neutral = NeutralAnswers.of(call.getMethod().getReturnType());
            return neutral == null ? Answers.RETURNS_DEFAULTS.answer(call) : neutral;
        }
    }

    private static boolean isOfEveryObject(Method method) {
        return Arrays.stream(Object.class.getMethods())
                .anyMatch(
                        called ->
                                called.getName().equals(method.getName())
                                        && Arrays.equals(
                                                called.getParameterTypes(),
                                                method.getParameterTypes()));
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
                caller(made.getMethod().getDeclaringClass().getName()));
    }

    /**
     * Whether it is the contract, in which a mock may have been put, or a class made for a mock.
     */
    private static boolean isMockOf(String contract, String name) {
        return name.equals(contract) || name.startsWith(contract + "$MockitoMock$");
    }

    /** The nearest class on the way here that is neither the mock's own nor of a library. */
    private static Optional<String> caller(String contract) {
        return StackWalker.getInstance()
                .walk(
                        frames ->
                                frames.map(StackWalker.StackFrame::getClassName)
                                        .filter(name -> !isMockOf(contract, name))
                                        .filter(name -> OURS.stream().noneMatch(name::startsWith))
                                        .findFirst());
    }
}
