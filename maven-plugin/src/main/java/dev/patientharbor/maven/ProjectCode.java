package dev.patientharbor.maven;

import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.ProfileSet;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.apache.maven.artifact.DependencyResolutionRequiredException;
import org.apache.maven.plugin.MojoExecutionException;
import org.apache.maven.project.MavenProject;

/** The class path of a project, by its scope. */
final class ProjectCode {

    private static final String NOT_THERE = "the dependencies are not there yet";

    private final MavenProject project;
    private final String scope;

    ProjectCode(MavenProject project, String scope) {
        this.project = project;
        this.scope = scope;
    }

    /**
     * Returns a set about the code that its file names; about the class path of the project where
     * it names none, or {@code class-path}.
     */
    ProfileSet read(ProfileSet set) throws MojoExecutionException {
        boolean isOfProject = set.code().isEmpty() || ProfileFiles.namesClassPath(set);
        return (isOfProject ? set.withCode(places(elements())) : set)
                .withTestCode(places(ofTests()));
    }

    private void requireCompiled() throws MojoExecutionException {
        Path classes = Path.of(project.getBuild().getOutputDirectory());
        boolean hasSources =
                project.getCompileSourceRoots().stream().map(Path::of).anyMatch(Files::exists);
        if (hasSources && !Files.exists(classes)) {
            throw new MojoExecutionException(
                    "nothing is compiled yet: have test-compile run before, as in mvn test-compile"
                            + " patient-harbor:roster");
        }
    }

    private static Path[] places(Collection<String> elements) {
        return elements.stream().map(Path::of).filter(Files::exists).toArray(Path[]::new);
    }

    /** What is there for the tests alone: their classes, and what only they depend on. */
    private Set<String> ofTests() throws MojoExecutionException {
        try {
            Set<String> ofTests = new LinkedHashSet<>(project.getTestClasspathElements());
            project.getCompileClasspathElements().forEach(ofTests::remove);
            project.getRuntimeClasspathElements().forEach(ofTests::remove);
            return ofTests;
        } catch (DependencyResolutionRequiredException fault) {
            throw new MojoExecutionException(NOT_THERE, fault);
        }
    }

    private List<String> elements() throws MojoExecutionException {
        requireCompiled();
        try {
            return switch (scope.toLowerCase(Locale.ROOT)) {
                case "compile" -> project.getCompileClasspathElements();
                case "runtime" -> project.getRuntimeClasspathElements();
                case "test" -> project.getTestClasspathElements();
                default ->
                        throw new MojoExecutionException(
                                "scope is compile, runtime or test, not " + scope);
            };
        } catch (DependencyResolutionRequiredException fault) {
            throw new MojoExecutionException(NOT_THERE, fault);
        }
    }
}
