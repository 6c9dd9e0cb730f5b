package dev.patientharbor.notation;

import dev.patientharbor.code.CodeRoot;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.model.ProfileSet;
import java.nio.file.Path;
import java.util.List;

/**
 * What one profile file says, and what is wrong with its text.
 *
 * @param set everything that could be understood
 * @param findings what could not, in order of place
 * @param folder the folder of the file, from which its paths start
 */
public record ProfileFile(ProfileSet set, List<Finding> findings, Path folder) {
    public ProfileFile {
        findings = List.copyOf(findings);
    }

    /** The compiled code that the file names, paths taken from the file's own folder. */
    public List<CodeRoot> codeRoots() {
        return set.code().stream()
                .map(written -> new CodeRoot(written, folder.resolve(written.text())))
                .toList();
    }
}
