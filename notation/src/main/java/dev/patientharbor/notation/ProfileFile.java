package dev.patientharbor.notation;

import dev.patientharbor.code.CodeRoot;
import dev.patientharbor.code.Wanted;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.model.ProfileSet;
import dev.patientharbor.model.Settings;
import dev.patientharbor.model.Written;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What one profile file says, and what is wrong with its text.
 *
 * @param set everything that could be understood
 * @param settingsOfFiles what the listed files of settings say, the first that says it
 * @param findings what could not, in order of place
 * @param folder the folder of the file, from which its paths start
 */
public record ProfileFile(
        ProfileSet set, Map<String, String> settingsOfFiles, List<Finding> findings, Path folder) {
    public ProfileFile {
        settingsOfFiles = Map.copyOf(settingsOfFiles);
        findings = List.copyOf(findings);
    }

    /** What must be read of the code for this file: methods of factories, and calls of lookups. */
    public Wanted wanted() {
        Set<String> lookups =
                set.marks().lookup().stream().map(Written::text).collect(Collectors.toSet());
        return new Wanted(set.factoryClasses(), lookups);
    }

    /** The settings of this process: system properties, its environment, then the listed files. */
    public Settings settings() {
        Map<String, String> properties = new HashMap<>();
        System.getProperties()
                .stringPropertyNames()
                .forEach(name -> properties.put(name, System.getProperty(name)));
        return new Settings(properties, System.getenv(), settingsOfFiles);
    }

    /** The compiled code that the file names, paths taken from the file's own folder. */
    public List<CodeRoot> codeRoots() {
        return set.code().stream()
                .map(written -> new CodeRoot(written, folder.resolve(written.text())))
                .toList();
    }
}
