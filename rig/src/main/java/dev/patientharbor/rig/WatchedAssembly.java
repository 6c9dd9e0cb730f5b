package dev.patientharbor.rig;

import dev.patientharbor.assembly.Assembly;
import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.assembly.DecoratorLayer;
import dev.patientharbor.assembly.ObjectMaking;
import dev.patientharbor.live.UserClasses;
import dev.patientharbor.model.BuiltIn;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** An assembly with a spy around every object that can have one, so that all its calls are seen. */
final class WatchedAssembly {

    private final UserClasses classes;

    private WatchedAssembly(UserClasses classes) {
        this.classes = classes;
    }

    static Assembly of(Assembly assembly, ClassLoader loader) {
        WatchedAssembly watched = new WatchedAssembly(new UserClasses(loader));
        return assembly.with(assembly.parts().stream().map(watched::watched).toList());
    }

    private AssemblyPart watched(AssemblyPart part) {
        Optional<AssemblyPart.Made> made = part.made();
        return made.isPresent() && isToBeWatched(made.get()) ? withSpy(made.get()) : part;
    }

    private boolean isToBeWatched(AssemblyPart.Made made) {
        return canBeWatched(made.making())
                && CallObservers.of(made).isEmpty()
                && isOpen(classes.erased(made.slot().contract()));
    }

    /** A value is what it is, and may be compared. */
    private static boolean canBeWatched(ObjectMaking making) {
        return switch (making.form()) {
            case CONSTRUCTED, CALLED, MOCKED, ANSWERING, MADE_BY, SAME_CORE, HANDED_IN -> true;
            case CONVERTED, NO_OBJECT -> false;
        };
    }

    private static boolean isOpen(Class<?> contract) {
        return contract.isInterface()
                && !contract.isSealed()
                && Modifier.isPublic(contract.getModifiers());
    }

    private static AssemblyPart withSpy(AssemblyPart.Made made) {
        List<DecoratorLayer> layers = new ArrayList<>();
        layers.add(new DecoratorLayer.OfBuiltIn(new BuiltIn.Spy()));
        layers.addAll(made.layers());
        return new AssemblyPart.Made(
                made.seat(),
                made.making(),
                layers,
                made.lifetime(),
                made.oneOfClass(),
                made.kind(),
                made.origin());
    }
}
