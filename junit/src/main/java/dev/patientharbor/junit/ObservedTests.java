package dev.patientharbor.junit;

import dev.patientharbor.observing.ObservedFiles;
import dev.patientharbor.observing.ObservedUse;
import dev.patientharbor.profiles.Plan;
import dev.patientharbor.rig.Rig;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;

/**
 * What the rigs of tests really used, where the system property {@code patientharbor.observed}
 * names a folder: each process, and each run of tests in it, leaves a file there for each set of
 * profiles. May be used by several threads.
 */
// An older JUnit closes nothing else in its stores, and a newer one this as well.
@SuppressWarnings("deprecation")
final class ObservedTests implements ExtensionContext.Store.CloseableResource, AutoCloseable {

    private static final String PROPERTY = "patientharbor.observed";
    private static final Namespace OURS = Namespace.create(ObservedTests.class);

    private final Path folder;
    private final Map<String, ObservedUse> byTitle = new LinkedHashMap<>();

    private ObservedTests(Path folder) {
        this.folder = folder;
    }

    /**
     * Adds what a rig has used, if that is asked for; it is about to be closed.
     *
     * @param plan the plan of its profile, before anything was swapped in it
     */
    static void add(ExtensionContext context, Plan plan, Rig rig) {
        String folder = System.getProperty(PROPERTY, "");
        if (!folder.isBlank()) {
            context.getRoot()
                    .getStore(OURS)
                    .getOrComputeIfAbsent(
                            folder, named -> new ObservedTests(Path.of(named)), ObservedTests.class)
                    .add(rig.usage().observed(plan.title(), plan.profile()));
        }
    }

    private synchronized void add(ObservedUse use) {
        byTitle.merge(
                use.title(),
                use,
                (before, more) -> ObservedUse.joined(use.title(), List.of(before, more)));
    }

    /** Writes what was not written yet. */
    @Override
    public synchronized void close() {
        for (ObservedUse use : byTitle.values()) {
            try {
                ObservedFiles.write(ObservedFiles.newFile(folder), use);
            } catch (IOException fault) {
                throw new UncheckedIOException(
                        "cannot write what tests used to "
                                + folder
                                + ", which "
                                + PROPERTY
                                + " names",
                        fault);
            }
        }
        byTitle.clear();
    }
}
