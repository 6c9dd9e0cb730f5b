package dev.patientharbor.maven;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Severity;
import java.io.File;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugins.annotations.Mojo;
import org.apache.maven.plugins.annotations.Parameter;
import org.apache.maven.plugins.annotations.ResolutionScope;

/**
 * Writes who receives what as a text for version control and reviews. From then on {@code check}
 * reports whoever receives something else.
 */
@Mojo(name = "accept", requiresDependencyResolution = ResolutionScope.TEST, threadSafe = true)
public final class AcceptMojo extends HarborMojo {

    /** The file that is written. */
    @Parameter(
            property = "patientharbor.against",
            defaultValue = "${project.basedir}/src/test/resources/accepted-roster.txt")
    private File against;

    @Override
    void run(Verdict verdict) throws MojoExecutionException {
        write(against.toPath(), verdict.accepted());
        getLog().info("written to " + against);
        if (verdict.hasAtLeast(Severity.ERROR)) {
            getLog().warn("there are findings: the goal check reports them");
        }
    }
}
