package dev.patientharbor.junit;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import java.lang.reflect.Parameter;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.BeforeTestExecutionCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ExtensionContext.Store;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/** Has the rig of a test built, hands out what is in it, and closes it after the test. */
final class RigExtension
        implements BeforeAllCallback,
                BeforeEachCallback,
                BeforeTestExecutionCallback,
                AfterEachCallback,
                AfterAllCallback,
                ParameterResolver {

    private static final Namespace OURS = Namespace.create(RigExtension.class);

    private final Optional<TestRun> fixed;

    /** For what is marked with {@link UnderProfile} or {@link Harbor}. */
    RigExtension() {
        fixed = Optional.empty();
    }

    /** For one run of a test that has several. */
    RigExtension(TestRun run) {
        fixed = Optional.of(run);
    }

    @Override
    public void beforeAll(ExtensionContext context) {
        // Fields of the one instance of a class are there for its methods before all, with one rig.
        Optional<TestProfileChoice> said = choice(context).filter(TestProfileChoice::oneRig);
        if (said.isPresent() && context.getTestInstance().isPresent()) {
            Object instance = context.getRequiredTestInstance();
            MarkedFields.fill(instance, () -> SharedRig.of(said.get(), context).rig());
        }
    }

    @Override
    public void beforeEach(ExtensionContext context) {
        if (isLeftToItsRun(context)) {
            return;
        }
        Optional<TestProfileChoice> said = choice(context);
        if (fixed.isEmpty() && said.isEmpty()) {
            EarlyRequest.refuseFields(context);
            return;
        }
        List<Object> instances = context.getRequiredTestInstances().getAllInstances();
        String profile = fixed.map(TestRun::profile).orElseGet(() -> said.orElseThrow().profile());
        Plan plan = ProfileSetCache.plan(context, profile);
        Optional<Supplier<Rig>> given =
                said.filter(TestProfileChoice::oneRig)
                        .map(choice -> (Supplier<Rig>) SharedRig.of(choice, context)::rig)
                        .or(() -> ConstructorRig.taken(context, plan).map(rig -> () -> rig));
        TestRig rig =
                new TestRig(
                        plan,
                        instances,
                        SwappedParameters.of(context.getRequiredTestMethod()),
                        given);
        store(context).put(TestRig.class, rig);
        if (given.isEmpty()
                && context.getTestInstanceLifecycle().equals(Optional.of(Lifecycle.PER_CLASS))) {
            InstancesInUse.enter(instances, context);
        }
        rig.fillFields();
    }

    @Override
    public void beforeTestExecution(ExtensionContext context) {
        ownRig(context).ifPresent(TestRig::requireUnchanged);
    }

    @Override
    public void afterEach(ExtensionContext context) {
        TestRig rig = store(context).remove(TestRig.class, TestRig.class);
        if (rig != null) {
            InstancesInUse.leave(context);
            rig.end(context);
            ConstructorRig.close(context);
            SharedRig.close(context);
        }
    }

    @Override
    public void afterAll(ExtensionContext context) {
        SharedRig.close(context);
        ConstructorRig.closeAll(context);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        if (isLeftToItsRun(context)) {
            return false;
        }
        Parameter asked = parameter.getParameter();
        boolean meant = ClaimedParameters.isMarked(asked);
        if (!meant && !isImplementation(asked) && !ClaimedParameters.mayBeMeant(asked, context)) {
            return false;
        }
        Optional<Plan> plan = plan(context);
        if (plan.isEmpty()) {
            return EarlyRequest.refuseWithoutProfile(parameter, context);
        }
        boolean ours =
                meant
                        || isImplementation(asked)
                        || Rigs.knows(plan.get(), asked.getParameterizedType(), Optional.empty());
        if (ours && ownRig(context).isEmpty()) {
            EarlyRequest.refuseTooEarly(parameter, context, choice(context));
        }
        return ours;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        Parameter asked = parameter.getParameter();
        Rig rig = rig(context);
        if (isImplementation(asked)) {
            return rig.held(fixed.orElseThrow().implementation().orElseThrow().seat()).innermost();
        }
        return asked.isAnnotationPresent(SwappedIn.class)
                ? SwappedParameters.of(rig, asked)
                : RigRequest.of(rig, asked.getParameterizedType(), ClaimedParameters.key(asked));
    }

    private Rig rig(ExtensionContext context) {
        Optional<TestRig> own = ownRig(context);
        if (own.isPresent()) {
            return own.get().rig();
        }
        Optional<TestProfileChoice> shared = choice(context).filter(TestProfileChoice::oneRig);
        return shared.isPresent()
                ? SharedRig.of(shared.get(), context).rig()
                : ConstructorRig.made(context, plan(context).orElseThrow());
    }

    private Optional<Plan> plan(ExtensionContext context) {
        return fixed.map(TestRun::profile)
                .or(() -> choice(context).map(TestProfileChoice::profile))
                .map(profile -> ProfileSetCache.plan(context, profile));
    }

    private Optional<TestProfileChoice> choice(ExtensionContext context) {
        return fixed.isPresent() ? Optional.empty() : TestProfileChoice.at(context);
    }

    /** Whether another one is there for this run of a test that has several. */
    private boolean isLeftToItsRun(ExtensionContext context) {
        return fixed.isEmpty() && TestProfileChoice.hasRunsOfItsOwn(context);
    }

    private boolean isImplementation(Parameter asked) {
        return fixed.flatMap(TestRun::implementation)
                .filter(implementation -> implementation.contract() == asked.getType())
                .filter(implementation -> !asked.isAnnotationPresent(FromRig.class))
                .isPresent();
    }

    private static Optional<TestRig> ownRig(ExtensionContext context) {
        return Optional.ofNullable(store(context).get(TestRig.class, TestRig.class));
    }

    private static Store store(ExtensionContext context) {
        return context.getStore(OURS);
    }
}
