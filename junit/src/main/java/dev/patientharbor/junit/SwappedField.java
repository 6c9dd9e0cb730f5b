package dev.patientharbor.junit;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.profiles.Supplies;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.texts.JavaName;
import java.lang.reflect.Field;
import java.util.List;
import java.util.Optional;

/** A field of a test instance that is marked with {@link SwappedIn}, and what it held. */
final class SwappedField {

    private final Field field;
    private final Object instance;
    private final SwappedSlot slot;
    private Object held;
    private boolean isMocked;

    private SwappedField(Field field, Object instance) {
        this.field = field;
        this.instance = instance;
        slot =
                new SwappedSlot(
                        field.getGenericType(),
                        field.getAnnotation(SwappedIn.class),
                        "the field "
                                + field.getName()
                                + " of "
                                + JavaName.of(field.getDeclaringClass()));
    }

    /** Finds the marked fields of an instance. */
    static List<SwappedField> of(Object instance) {
        return MarkedFields.marked(instance, SwappedIn.class).stream()
                .map(field -> new SwappedField(field, instance))
                .toList();
    }

    /** Reads the field, and has its object, or a mock, fill the slot. */
    Plan swapIn(Plan plan) {
        held = MarkedFields.get(field, instance);
        isMocked = held == null;
        return slot.swapIn(plan, isMocked ? Supplies.mock() : Supplies.object(held).asStub());
    }

    /** Puts into the field the mock that was swapped in for it. */
    void giveMock(Rig rig) {
        if (isMocked) {
            held = slot.of(rig);
            MarkedFields.set(field, instance, held);
        }
    }

    void takeMockAway() {
        if (isMocked && MarkedFields.get(field, instance) == held) {
            MarkedFields.set(field, instance, null);
        }
    }

    void requireUnchanged() {
        if (MarkedFields.get(field, instance) != held) {
            throw new IllegalStateException(
                    slot.where()
                            + " was set after the rig of the test was built, so what it holds is"
                            + " swapped in nowhere. "
                            + Optional.of(MarkedFields.hasAny(instance, FromRig.class))
                                    .filter(has -> has)
                                    .map(
                                            has ->
                                                    "Fields marked with @FromRig are filled before"
                                                            + " each test: take them as parameters,"
                                                            + " or set this one where it is"
                                                            + " declared; an extension that sets it"
                                                            + " stands before @UnderProfile")
                                    .orElse(
                                            "Set it before the first method that asks for"
                                                    + " something of the rig"));
        }
    }
}
