package dev.patientharbor.behaviours;

import dev.patientharbor.live.ValueConverter;
import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.model.BuiltIn.When;
import java.lang.reflect.Method;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * Lets some calls fail, and passes the others on. Calls are counted in the order in which they
 * arrive; a rate fails the same ones for the same seed.
 */
final class FailingBehaviour implements Behaviour {

    private final BuiltIn.Fail fail;
    private final ValueConverter converter;
    private final Behaviour next;
    private final SplittableRandom random;
    private long calls;

    FailingBehaviour(BuiltIn.Fail fail, ValueConverter converter, Behaviour next) {
        this.fail = fail;
        this.converter = converter;
        this.next = next;
        random = new SplittableRandom(fail.when().match(every -> 0L, When.Rate::seed));
    }

    @Override
    public Object answer(Object self, Method method, Object[] arguments) throws Throwable {
        long number = failingNumber();
        if (number > 0) {
            throw converter.failure(
                    fail.with().text(),
                    fail.saying()
                            .or(
                                    () ->
                                            Optional.of(
                                                    "call "
                                                            + number
                                                            + " fails on purpose, as "
                                                            + fail.when().words()
                                                            + " says")));
        }
        return next.answer(self, method, arguments);
    }

    /** The number of this call if it fails, or 0. */
    private synchronized long failingNumber() {
        calls++;
        boolean fails =
                fail.when()
                        .match(
                                every -> calls % every.nth() == 0,
                                rate -> random.nextDouble() < rate.share());
        return fails ? calls : 0;
    }
}
