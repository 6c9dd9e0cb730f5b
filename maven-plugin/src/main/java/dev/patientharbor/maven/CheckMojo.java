package dev.patientharbor.maven;

import dev.patientharbor.accepting.AcceptedRoster;
import dev.patientharbor.check.RuleFault;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.report.CheckSarif;
import dev.patientharbor.report.CheckTestResults;
import dev.patientharbor.report.CheckText;
import dev.patientharbor.report.TextLayout;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.time.LocalDate;
import java.util.List;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugin.MojoFailureException;
import org.apache.maven.plugins.annotations.LifecyclePhase;
import org.apache.maven.plugins.annotations.Mojo;
import org.apache.maven.plugins.annotations.Parameter;
import org.apache.maven.plugins.annotations.ResolutionScope;

/**
 * Reports whether every profile is complete, and every mistake with its reason; fails the build if
 * there is one. Also written: {@code check.sarif} for code hosts, and {@code
 * TEST-patient-harbor.xml} for build servers.
 */
@Mojo(
        name = "check",
        defaultPhase = LifecyclePhase.VERIFY,
        requiresDependencyResolution = ResolutionScope.TEST,
        threadSafe = true)
public final class CheckMojo extends HarborMojo {

    private static final int WIDTH = 100;
    private static final String ACCEPT = "dev.patientharbor:patient-harbor-maven-plugin:accept";

    /** Fail from this severity on: {@code error}, {@code warning} or {@code note}. */
    @Parameter(property = "patientharbor.failOn", defaultValue = "error")
    private String failOn;

    /**
     * The accepted roster: everybody who receives something else is reported. It is not looked at
     * if there is no such file; the goal {@code accept} writes it.
     */
    @Parameter(
            property = "patientharbor.against",
            defaultValue = "${project.basedir}/src/test/resources/accepted-roster.txt")
    private File against;

    @Override
    void run(Verdict verdict) throws MojoExecutionException, MojoFailureException {
        Severity threshold = severity();
        Verdict found = against.isFile() ? verdict.against(accepted(), LocalDate.now()) : verdict;
        write(result("check.sarif"), CheckSarif.render(found));
        write(result("TEST-patient-harbor.xml"), CheckTestResults.render(found, threshold));
        boolean fails = found.hasAtLeast(threshold);
        List<String> lines = CheckText.render(found, TextLayout.plain(WIDTH)).lines().toList();
        for (String line : lines) {
            if (fails) {
                getLog().error(line);
            } else {
                getLog().info(line);
            }
        }
        for (RuleFault fault : found.faults()) {
            throw new MojoExecutionException(
                    "a fault of ours: " + fault.rule() + " did not come to its end", fault.cause());
        }
        if (fails) {
            throw new MojoFailureException(
                    lines.get(lines.size() - 1)
                            + " See above, or "
                            + result("check.sarif")
                            + (isChanged(found)
                                    ? "; if it is meant that somebody receives something else: mvn "
                                            + ACCEPT
                                    : ""));
        }
    }

    private static boolean isChanged(Verdict found) {
        return found.allFindings().stream()
                .anyMatch(finding -> finding.kind().equals(FindingKinds.ROSTER_CHANGED));
    }

    private Severity severity() throws MojoExecutionException {
        return Severity.of(failOn)
                .orElseThrow(
                        () ->
                                new MojoExecutionException(
                                        "failOn is error, warning or note, not " + failOn));
    }

    private AcceptedRoster accepted() throws MojoExecutionException {
        try {
            return AcceptedRoster.parse(Files.readString(against.toPath()), told(against));
        } catch (IOException fault) {
            throw new MojoExecutionException("cannot read " + against, fault);
        }
    }
}
