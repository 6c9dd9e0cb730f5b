package dev.patientharbor.maven;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.observing.ObservedFiles;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.observing.ObservedUse;
import dev.patientharbor.page.ReportPage;
import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugins.annotations.LifecyclePhase;
import org.apache.maven.plugins.annotations.Mojo;
import org.apache.maven.plugins.annotations.Parameter;
import org.apache.maven.plugins.annotations.ResolutionScope;

/**
 * Writes one HTML file to look around in: {@code patient-harbor.html}. In a build it is bound to a
 * phase behind the tests, so that it tells what they met.
 */
@Mojo(
        name = "report",
        defaultPhase = LifecyclePhase.VERIFY,
        requiresDependencyResolution = ResolutionScope.TEST,
        threadSafe = true)
public final class ReportMojo extends HarborMojo {

    /**
     * What the tests left behind of what they met, a file or a folder: what the system property
     * {@code patientharbor.observed} of the tests names. It is not looked at if it is not there.
     */
    @Parameter(
            property = "patientharbor.observed",
            defaultValue = "${project.build.directory}/observed")
    private File observed;

    @Override
    void run(Verdict verdict) throws MojoExecutionException {
        Path page = result("patient-harbor.html");
        write(page, ReportPage.render(verdict, met(verdict)));
        getLog().info("written to " + page);
    }

    private Optional<ObservedRosters> met(Verdict verdict) throws MojoExecutionException {
        if (!observed.exists()) {
            return Optional.empty();
        }
        try {
            List<ObservedUse> all = ObservedFiles.read(observed.toPath());
            if (all.stream().noneMatch(each -> each.isOf(verdict.title()))) {
                // Nothing is told of runs, rather than that none met anything.
                getLog().warn("nothing in " + observed + " was observed of " + verdict.title());
                return Optional.empty();
            }
            ObservedUse use = ObservedUse.joined(verdict.title(), all);
            Set<String> shown = verdict.rosters().keySet();
            return Optional.of(
                    ObservedRosters.of(
                            verdict.allRosters().values(),
                            use,
                            (profile, row) -> shown.contains(profile)));
        } catch (IOException fault) {
            throw new MojoExecutionException("cannot read " + observed, fault);
        }
    }
}
