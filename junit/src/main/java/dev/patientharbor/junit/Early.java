package dev.patientharbor.junit;

import dev.patientharbor.plan.Roster;
import dev.patientharbor.rig.Rig;
import java.lang.reflect.Executable;
import java.util.Set;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolutionException;

/** What asks for something of a rig before there can be one. */
final class Early {

    private static final Set<Class<?>> OURS = Set.of(Rig.class, Roster.class);

    private Early() {}

    /**
     * @throws ParameterResolutionException if the parameter is one that a rig would fill
     */
    static void refuse(ParameterContext parameter, ExtensionContext context) {
        Class<?> type = parameter.getParameter().getType();
        if (context.getTestMethod().isPresent()
                || !OURS.contains(type)
                        && !parameter.isAnnotated(FromRig.class)
                        && !isOfPlan(type, context)) {
            return;
        }
        Executable who = parameter.getDeclaringExecutable();
        throw new ParameterResolutionException(
                who.getName()
                        + " asks for "
                        + type.getName()
                        + " before there is a rig: each test method has its own, built once the"
                        + " fields of its class are there. Take it as a parameter of the test, or"
                        + " of a method that runs before each, or as a field marked with"
                        + " @FromRig.");
    }

    private static boolean isOfPlan(Class<?> type, ExtensionContext context) {
        Roster roster = Sets.plan(context, Said.at(context).profile()).roster();
        return roster.rows().stream()
                .anyMatch(
                        row ->
                                row.consumer().equals(type.getName())
                                        || row.slot().contract().text().equals(type.getName()));
    }
}
