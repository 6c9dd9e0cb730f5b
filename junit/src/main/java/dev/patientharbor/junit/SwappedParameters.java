package dev.patientharbor.junit;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.profiles.Supplies;
import dev.patientharbor.rig.Rig;
import java.lang.reflect.Method;
import java.lang.reflect.Parameter;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The parameters of a test method that are marked with {@link SwappedIn}: each is given a mock. */
final class SwappedParameters {

    private final List<SwappedSlot> slots;

    private SwappedParameters(List<SwappedSlot> slots) {
        this.slots = slots;
    }

    /** Finds the marked parameters of a method, if it has any. */
    static Optional<SwappedParameters> of(Method test) {
        List<SwappedSlot> slots =
                Arrays.stream(test.getParameters())
                        .filter(parameter -> parameter.isAnnotationPresent(SwappedIn.class))
                        .map(SwappedParameters::slot)
                        .toList();
        return slots.isEmpty() ? Optional.empty() : Optional.of(new SwappedParameters(slots));
    }

    private static SwappedSlot slot(Parameter parameter) {
        return new SwappedSlot(
                parameter.getParameterizedType(),
                parameter.getAnnotation(SwappedIn.class),
                "the parameter "
                        + parameter.getName()
                        + " of "
                        + parameter.getDeclaringExecutable().getName());
    }

    Plan swapIn(Plan plan) {
        Plan changed = plan;
        for (SwappedSlot slot : slots) {
            changed = slot.swapIn(changed, Supplies.mock());
        }
        return changed;
    }

    /** What a parameter is given. */
    static Object of(Rig rig, Parameter parameter) {
        return slot(parameter).of(rig);
    }
}
