package dev.patientharbor.junit;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import java.lang.reflect.Parameter;
import java.lang.reflect.Type;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ExtensionContext.Store;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/** Builds the rig of a test, hands out what is in it, and has it closed after the test. */
final class RigExtension implements BeforeEachCallback, AfterEachCallback, ParameterResolver {

    private static final Namespace OURS = Namespace.create(RigExtension.class);

    private final Optional<Run> fixed;

    /** The rig of a test, in a wrapping that the store does not close. */
    private record Given(Rig rig) {}

    /** For what is marked with {@link UnderProfile}. */
    RigExtension() {
        fixed = Optional.empty();
    }

    /** For one run of a test that has several. */
    RigExtension(Run run) {
        fixed = Optional.of(run);
    }

    @Override
    public void beforeEach(ExtensionContext context) {
        if (isLeftToItsRun(context)) {
            return;
        }
        List<Object> instances = context.getRequiredTestInstances().getAllInstances();
        Optional<Said> said = fixed.isPresent() ? Optional.empty() : Optional.of(Said.at(context));
        String profile = fixed.map(Run::profile).orElseGet(() -> said.orElseThrow().profile());
        Plan plan = Sets.plan(context, profile);
        Plan swapped = Fields.swap(plan, instances);
        Rig rig;
        if (said.filter(Said::oneRig).isPresent()) {
            if (swapped != plan) {
                throw new IllegalStateException(
                        "fields marked with @SwappedIn change the plan of each test, and"
                                + " @UnderProfile asks for one rig for all: take oneRig out");
            }
            rig =
                    said.get()
                            .where()
                            .getStore(OURS)
                            .getOrComputeIfAbsent(profile, one -> Rigs.build(plan), Rig.class);
        } else {
            // What the store of a test holds is closed when the test has ended.
            rig = Rigs.build(swapped);
            store(context).put(Rig.class, rig);
        }
        store(context).put("given", new Given(rig));
        store(context).put("mocked", Fields.fill(rig, instances));
    }

    @Override
    public void afterEach(ExtensionContext context) {
        List<?> mocked = store(context).getOrDefault("mocked", List.class, List.of());
        mocked.forEach(one -> ((Fields.Mocked) one).clear());
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        Optional<Rig> rig = rig(context);
        if (rig.isEmpty()) {
            Early.refuse(parameter, context);
        }
        if (rig.isEmpty() || isLeftToItsRun(context)) {
            return false;
        }
        Parameter asked = parameter.getParameter();
        return isImplementation(asked)
                || parameter.isAnnotated(FromRig.class)
                || Asked.isKnown(rig.get(), asked.getParameterizedType(), Optional.empty());
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        Rig rig = rig(context).orElseThrow();
        Parameter asked = parameter.getParameter();
        if (isImplementation(asked)) {
            return rig.held(fixed.orElseThrow().implementation().orElseThrow().seat()).innermost();
        }
        Type type = asked.getParameterizedType();
        return Asked.of(
                rig,
                type,
                parameter.findAnnotation(FromRig.class).flatMap(mark -> Fields.key(mark.value())));
    }

    /** Whether another one is there for this run of a test that has several. */
    private boolean isLeftToItsRun(ExtensionContext context) {
        return fixed.isEmpty() && Said.hasRunsOfItsOwn(context);
    }

    private boolean isImplementation(Parameter asked) {
        return fixed.flatMap(Run::implementation)
                .filter(one -> one.contract() == asked.getType())
                .isPresent();
    }

    private static Optional<Rig> rig(ExtensionContext context) {
        return Optional.ofNullable(store(context).get("given", Given.class)).map(Given::rig);
    }

    private static Store store(ExtensionContext context) {
        return context.getStore(OURS);
    }
}
