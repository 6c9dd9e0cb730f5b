package dev.patientharbor.junit;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.profiles.SupplyDefinition;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.terms.Slot;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.util.Optional;
import java.util.TreeSet;

/**
 * The slot for which a field or a parameter stands.
 *
 * @param type the type of the field or parameter
 * @param mark what its mark says
 * @param where it, as people read it
 */
record SwappedSlot(Type type, SwappedIn mark, String where) {

    /** The plan with the slot filled in another way. */
    Plan swapIn(Plan plan, SupplyDefinition supply) {
        try {
            return plan.swap(text(), supply);
        } catch (RuntimeException refused) {
            throw new IllegalStateException(
                    where + " cannot be swapped in: " + refused.getMessage() + contracts(plan),
                    refused);
        }
    }

    /** What stands in the slot. */
    Object of(Rig rig) {
        Optional<String> key = MarkedFields.key(mark.value());
        return mark.slot().isEmpty()
                ? rig.held(type, key).innermost()
                : rig.held(text()).innermost();
    }

    private String text() {
        String contract = mark.slot().isEmpty() ? type.getTypeName().replace(" ", "") : mark.slot();
        return mark.value().isEmpty() ? contract : contract + "@" + mark.value();
    }

    /** The slots that an object of the type could fill, where its own is none. */
    private String contracts(Plan plan) {
        Class<?> own =
                type instanceof Class<?> plain
                        ? plain
                        : type instanceof ParameterizedType with
                                        && with.getRawType() instanceof Class<?> raw
                                ? raw
                                : Object.class;
        TreeSet<String> fit = new TreeSet<>();
        for (Slot slot : plan.slots()) {
            String name = slot.contract().text().replaceAll("<.*", "");
            if (!name.equals(own.getName()) && isA(own, name)) {
                fit.add(slot.text(other -> other.substring(other.lastIndexOf('.') + 1)));
            }
        }
        return fit.isEmpty()
                ? ""
                : "; it could fill "
                        + String.join(", ", fit)
                        + ": write @SwappedIn(slot = \""
                        + fit.first()
                        + "\")";
    }

    private static boolean isA(Class<?> type, String name) {
        if (type == null) {
            return false;
        }
        boolean isIt = type.getName().equals(name) || isA(type.getSuperclass(), name);
        for (Class<?> one : type.getInterfaces()) {
            isIt |= isA(one, name);
        }
        return isIt;
    }
}
