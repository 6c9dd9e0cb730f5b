package dev.patientharbor.drafting;

import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.survey.CodeLocation;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.tracing.TracedObject;
import dev.patientharbor.tracing.TracedValue;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * An object that a hand wiring makes, with what it asks for as a profile sees it.
 *
 * @param object the object; two are the same only if they are one
 * @param maker what makes it, as a profile names it: a class, or {@code Class#method}
 * @param isByFactory whether a method makes it
 * @param constructor the parameter types of its constructor, where a profile has to name it
 * @param values what it is given by value, by the name of the parameter
 * @param needs what it is handed, in order
 * @param otherCalls what it is handed by methods without a mark: no profile can say that
 * @param faults why a profile cannot name it, in words
 */
record WiredObject(
        TracedObject object,
        String maker,
        boolean isByFactory,
        Optional<List<String>> constructor,
        Map<String, Object> values,
        List<HandedNeed> needs,
        List<TracedObject.Call> otherCalls,
        List<String> faults) {

    /**
     * One thing that it is handed.
     *
     * @param place where the class asks for it
     * @param name the name of the parameter or field
     * @param slot what it asks for, in its wrapping
     * @param value what it is handed
     */
    record HandedNeed(NeedPlace place, String name, Slot slot, TracedValue value) {}

    /** Returns where it is made. */
    CodeLocation at() {
        return object.at();
    }

    /** Returns whether a profile can name what makes it. */
    boolean canBeNamed() {
        return !maker.isEmpty();
    }
}
