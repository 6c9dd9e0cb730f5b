package dev.patientharbor.maven;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.files.FileReplacement;
import dev.patientharbor.profiles.ProfileSet;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.apache.maven.plugin.AbstractMojo;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.plugin.MojoFailureException;
import org.apache.maven.plugins.annotations.Parameter;
import org.apache.maven.project.MavenProject;

/** What all goals have in common: they find the profile file, and check it. */
public abstract class HarborMojo extends AbstractMojo {

    @Parameter(defaultValue = "${project}", readonly = true, required = true)
    private MavenProject project;

    @Parameter(defaultValue = "${maven.multiModuleProjectDirectory}", readonly = true)
    private File buildFolder;

    /** Do nothing. */
    @Parameter(property = "patientharbor.skip", defaultValue = "false")
    private boolean skip;

    /**
     * The profile file. By default the only {@code *.harbor.yaml} in the folder of the project; a
     * project that has none is passed over.
     */
    @Parameter(property = "patientharbor.file")
    private File profileFile;

    /** Show these profiles alone; the whole file is checked all the same. By default all. */
    @Parameter(property = "patientharbor.profiles")
    private List<String> profiles;

    /**
     * Whose class path is read where the file names no code, or {@code class-path}: {@code
     * compile}, {@code runtime}, or {@code test}. What only {@code test} has is code of the tests,
     * which profiles see that say {@code code: [test-code]}.
     */
    @Parameter(property = "patientharbor.scope", defaultValue = "test")
    private String scope;

    /** Where results are written. */
    @Parameter(defaultValue = "${project.build.directory}/patient-harbor")
    private File outputDirectory;

    @Override
    public final void execute() throws MojoExecutionException, MojoFailureException {
        if (skip) {
            getLog().info("skipped");
            return;
        }
        ProjectFile files = files();
        Optional<Path> file = files.find(profileFile);
        if (file.isEmpty()) {
            getLog().info("there is no *.harbor.yaml in " + project.getBasedir());
            return;
        }
        try {
            ProfileSet set = new ProjectCode(project, scope).read(files.read(file.get()));
            Verdict verdict = set.check();
            run(profiles == null || profiles.isEmpty() ? verdict : verdict.only(profiles));
        } catch (UncheckedIOException fault) {
            throw new MojoExecutionException(
                    fault.getMessage() + ": " + fault.getCause().getMessage(), fault);
        } catch (IllegalArgumentException unusable) {
            throw new MojoExecutionException(unusable.getMessage(), unusable);
        }
    }

    /** Does what the goal is for with what was found. */
    abstract void run(Verdict verdict) throws MojoExecutionException, MojoFailureException;

    /** A file as it is told: from the folder of the whole build, on every machine alike. */
    String told(File file) {
        return files().name(file.toPath());
    }

    private ProjectFile files() {
        Path base = project.getBasedir().toPath();
        return new ProjectFile(base, buildFolder == null ? base : buildFolder.toPath());
    }

    /** The place of a result. */
    Path result(String name) {
        return outputDirectory.toPath().resolve(name);
    }

    /** Writes a result; its folder is made if it is missing. */
    void write(Path file, String text) throws MojoExecutionException {
        try {
            Files.createDirectories(file.toAbsolutePath().getParent());
            FileReplacement.write(file, text);
        } catch (IOException fault) {
            throw new MojoExecutionException("cannot write " + file, fault);
        }
    }
}
