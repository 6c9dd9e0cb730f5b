package dev.patientharbor.junit;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * The rig of one test: built when something of it is first asked for, at the latest before the test
 * method runs, so that fields which are swapped in may be set until then.
 */
final class TestRig {

    private final Plan plan;
    private final List<Object> instances;
    private final Optional<SwappedParameters> parameters;
    private final Optional<Supplier<Rig>> given;
    private List<SwappedField> swapped = List.of();
    private Rig rig;

    /**
     * @param plan the plan of its profile
     * @param instances the test instances, whose marked fields count
     * @param parameters what the parameters of the test swap in
     * @param given a rig that is there already, for more than this test or made before it
     */
    TestRig(
            Plan plan,
            List<Object> instances,
            Optional<SwappedParameters> parameters,
            Optional<Supplier<Rig>> given) {
        this.plan = plan;
        this.instances = instances;
        this.parameters = parameters;
        this.given = given;
    }

    synchronized Rig rig() {
        if (rig == null) {
            List<SwappedField> fields = new ArrayList<>();
            for (Object instance : instances) {
                fields.addAll(SwappedField.of(instance));
            }
            Plan changed = plan;
            for (SwappedField field : fields) {
                changed = field.swapIn(changed);
            }
            if (parameters.isPresent()) {
                changed = parameters.get().swapIn(changed);
            }
            if (given.isPresent() && changed != plan) {
                throw new IllegalStateException(
                        "what is marked with @SwappedIn changes the plan of each test, and this rig"
                                + " is there before the test: take oneRig out, or take what the"
                                + " constructor of the test class asks for as a parameter of the"
                                + " test");
            }
            Plan built = changed;
            rig = given.map(Supplier::get).orElseGet(() -> Rigs.build(built));
            for (SwappedField field : fields) {
                field.giveMock(rig);
            }
            swapped = fields;
        }
        return rig;
    }

    /** Fills the fields that are marked with {@link FromRig}, if there are any. */
    void fillFields() {
        for (Object instance : instances) {
            MarkedFields.fill(instance, this::rig);
        }
    }

    /**
     * Does nothing if what was swapped in is what the fields hold now.
     *
     * @throws IllegalStateException if a field was set after it was read
     */
    void requireUnchanged() {
        rig();
        swapped.forEach(SwappedField::requireUnchanged);
    }

    /** Takes mocks out of fields again, and closes the rig if it is of this test alone. */
    synchronized void end(ExtensionContext context) {
        swapped.forEach(SwappedField::takeMockAway);
        if (rig != null && given.isEmpty()) {
            ObservedTests.add(context, plan, rig);
            rig.close();
        }
    }
}
