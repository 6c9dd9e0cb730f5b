package dev.patientharbor.rig;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Where;
import dev.patientharbor.plan.Assembly;
import dev.patientharbor.standins.NoMockMakerException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;

/**
 * Makes everything of a profile once, which runs the user's constructors and factories, and closes
 * it.
 */
public final class Trial {

    private final Assembly assembly;
    private final Set<MadeStation> told = Collections.newSetFromMap(new IdentityHashMap<>());
    private final List<Finding> findings = new ArrayList<>();

    private Trial(Assembly assembly) {
        this.assembly = assembly;
    }

    /**
     * Tells what cannot be made, once, whoever asks for it, and what cannot be closed.
     *
     * @param loader loads the user's classes
     */
    public static List<Finding> of(Assembly assembly, ClassLoader loader) {
        return new Trial(assembly).run(new Live(new Stations(assembly, loader)));
    }

    private List<Finding> run(Live live) {
        Rig rig = new Rig(live);
        Scope scope = rig.openScope();
        for (Station station : live.stations().all()) {
            if (station instanceof MadeStation made && made.standsForObject()) {
                try {
                    made.get(scope.surroundings());
                } catch (RigException failure) {
                    // What a mock of a class lacks is told by every check, and is no fault.
                    if (!(failure.getCause() instanceof NoMockMakerException)) {
                        failure.failure().ifPresent(one -> tell(one, live.profile()));
                    }
                }
            }
        }
        try {
            rig.close();
        } catch (RigException failure) {
            findings.add(
                    finding(
                            assembly.roster().profile(),
                            Where.classNamed(failure.getCause().getStackTrace()[0].getClassName()),
                            failure.getMessage()));
        }
        return findings;
    }

    private void tell(RigException.Failure failure, String profile) {
        if (told.add(failure.station())) {
            String slot = failure.station().slot();
            findings.add(
                    finding(
                                    slot,
                                    failure.station()
                                            .made()
                                            .origin()
                                            .orElseGet(() -> Where.classNamed(slot)),
                                    "No "
                                            + slot
                                            + " can be made in "
                                            + profile
                                            + ": "
                                            + failure.what()
                                            + ".")
                            .with("do", "mend what makes it, or bind something else here"));
        }
    }

    private static Finding finding(String cause, Where at, String message) {
        return Finding.of(FindingKinds.BUILD_FAILED, at, cause, message);
    }
}
