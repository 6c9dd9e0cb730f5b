package dev.patientharbor.behaviours;

import java.lang.reflect.Method;
import java.time.Duration;

/** Waits before each call that it passes on; whoever interrupts it ends the waiting. */
final class DelayingBehaviour implements Behaviour {

    private final Duration time;
    private final Behaviour next;

    DelayingBehaviour(Duration time, Behaviour next) {
        this.time = time;
        this.next = next;
    }

    @Override
    public Object answer(Object self, Method method, Object[] arguments) throws Throwable {
        try {
            Thread.sleep(time.toMillis(), time.toNanosPart() % 1_000_000);
        } catch (InterruptedException early) {
            Thread.currentThread().interrupt();
        }
        return next.answer(self, method, arguments);
    }
}
