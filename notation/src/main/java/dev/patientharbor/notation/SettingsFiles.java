package dev.patientharbor.notation;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.Written;
import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;

/** Reads the listed files of settings, in the format of {@link Properties}, as UTF-8. */
final class SettingsFiles {

    private SettingsFiles() {}

    static Map<String, String> read(
            List<Written> files, Map<String, Path> folders, List<Finding> findings) {
        Map<String, String> settings = new HashMap<>();
        for (Written file : files) {
            Properties properties = new Properties();
            try (Reader text = Files.newBufferedReader(ProfileFiles.path(file, folders))) {
                properties.load(text);
            } catch (IOException | IllegalArgumentException fault) {
                findings.add(
                        Finding.of(
                                        FindingKinds.MALFORMED_FILE,
                                        file.at(),
                                        file.text(),
                                        "The file of settings "
                                                + file.text()
                                                + " is not there, or is none.")
                                .with("do", "correct the path, or take it out"));
            }
            properties
                    .stringPropertyNames()
                    .forEach(name -> settings.putIfAbsent(name, properties.getProperty(name)));
        }
        return settings;
    }
}
