package dev.patientharbor.maven;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.report.RosterJson;
import dev.patientharbor.report.RosterText;
import dev.patientharbor.report.TextLayout;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugins.annotations.Mojo;
import org.apache.maven.plugins.annotations.ResolutionScope;

/**
 * Shows who receives what, consumer by consumer, profile beside profile. Also written: {@code
 * roster.txt}, and {@code roster.json} for programs.
 */
@Mojo(name = "roster", requiresDependencyResolution = ResolutionScope.TEST, threadSafe = true)
public final class RosterMojo extends HarborMojo {

    private static final int WIDTH = 100;

    @Override
    void run(Verdict verdict) throws MojoExecutionException {
        String text = RosterText.render(verdict, TextLayout.plain(WIDTH));
        text.lines().forEach(getLog()::info);
        write(result("roster.txt"), text);
        write(result("roster.json"), RosterJson.render(verdict));
    }
}
