package dev.patientharbor.maven;

import dev.patientharbor.files.BoundedFile;
import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.profiles.ProfileSet;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.maven.plugin.MojoExecutionException;

/**
 * The profile file of a project. It is called by its path from the folder of the whole build, so
 * that what is written of it reads the same on every machine, and leads code hosts to its lines.
 */
final class ProjectFile {

    private static final String ENDING = ".harbor.yaml";

    private final Path project;
    private final Path build;

    /**
     * @param project the folder of the project
     * @param build the folder of the whole build
     */
    ProjectFile(Path project, Path build) {
        this.project = project.toAbsolutePath().normalize();
        this.build = build.toAbsolutePath().normalize();
    }

    /** Finds the file: the one that is named, or the only one of the project; empty for none. */
    Optional<Path> find(File named) throws MojoExecutionException {
        if (named != null) {
            if (!named.isFile()) {
                throw new MojoExecutionException("there is no profile file " + named);
            }
            return Optional.of(named.toPath().toAbsolutePath().normalize());
        }
        List<Path> found = inProject();
        if (found.size() > 1) {
            throw new MojoExecutionException(
                    "there are several profile files in "
                            + project
                            + ": name one by profileFile, for each an execution");
        }
        return found.stream().findFirst();
    }

    private List<Path> inProject() {
        try (Stream<Path> files = Files.list(project)) {
            return files.filter(file -> file.getFileName().toString().endsWith(ENDING))
                    .sorted()
                    .toList();
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot list " + project, fault);
        }
    }

    /** A path as people read it. */
    String name(Path file) {
        Path whole = file.toAbsolutePath().normalize();
        return (whole.startsWith(build) ? build.relativize(whole) : whole)
                .toString()
                .replace(File.separatorChar, '/');
    }

    ProfileSet read(Path file) {
        try {
            return ProfileFiles.parse(
                    BoundedFile.read(file, SizeLimit.PROFILE_FILE), name(file), file.getParent());
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot read " + file, fault);
        }
    }
}
