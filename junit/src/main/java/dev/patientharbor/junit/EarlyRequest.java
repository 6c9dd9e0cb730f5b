package dev.patientharbor.junit;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.texts.JavaName;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.util.Optional;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolutionException;

/** Refuses what asks for something of a rig where there is none, or none yet. */
final class EarlyRequest {

    private EarlyRequest() {}

    /**
     * Refuses what each test has of its own, where no test has begun.
     *
     * @throws ParameterResolutionException unless one rig is there for all, or it is the
     *     constructor of an instance for one test
     */
    static void refuseTooEarly(
            ParameterContext parameter,
            ExtensionContext context,
            Optional<TestProfileChoice> said) {
        Executable who = parameter.getDeclaringExecutable();
        boolean isOfOneTest =
                who instanceof Constructor
                        && !context.getTestInstanceLifecycle()
                                .equals(Optional.of(Lifecycle.PER_CLASS));
        if (isOfOneTest || said.filter(TestProfileChoice::oneRig).isPresent()) {
            return;
        }
        throw new ParameterResolutionException(
                who.getName()
                        + " asks for "
                        + JavaName.of(parameter.getParameter().getType())
                        + " before there is a rig: each test method has its own, built once the"
                        + " fields of its class are there. Take it as a parameter of the test, or"
                        + " of a method that runs before each, or as a field marked with"
                        + " @FromRig.");
    }

    /**
     * What asks a rig for something where no profile is named.
     *
     * @return false, for somebody else's parameter
     * @throws ParameterResolutionException if it is marked, or some profile knows its type
     */
    static boolean refuseWithoutProfile(ParameterContext parameter, ExtensionContext context) {
        String type = parameter.getParameter().getType().getName();
        if (ClaimedParameters.isMarked(parameter.getParameter()) || isOfAnyProfile(type, context)) {
            throw new ParameterResolutionException(
                    parameter.getDeclaringExecutable().getName()
                            + " asks for "
                            + JavaName.of(type)
                            + ", and no profile is named: "
                            + TestProfileChoice.advice(context));
        }
        return false;
    }

    private static boolean isOfAnyProfile(String type, ExtensionContext context) {
        Verdict verdict = ProfileSetCache.of(context).check();
        return verdict.profiles().stream()
                .filter(each -> !each.isPartial())
                .flatMap(each -> verdict.roster(each.name()).rows().stream())
                .anyMatch(
                        row ->
                                row.consumer().equals(type)
                                        || row.slot().contract().text().equals(type));
    }

    /**
     * Does nothing if a test has no marked fields.
     *
     * @throws IllegalStateException if it has: they would stay as they are
     */
    static void refuseFields(ExtensionContext context) {
        for (Object instance : context.getRequiredTestInstances().getAllInstances()) {
            if (MarkedFields.hasAny(instance, FromRig.class)
                    || MarkedFields.hasAny(instance, SwappedIn.class)) {
                throw new IllegalStateException(
                        JavaName.of(instance.getClass())
                                + " has fields for what is in a rig, and no profile is named: "
                                + TestProfileChoice.advice(context));
            }
        }
    }
}
