package dev.patientharbor.notation;

import dev.patientharbor.files.BoundedFile;
import dev.patientharbor.files.IoReason;
import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.terms.WrittenName;
import java.io.IOException;
import java.io.StringReader;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;

/** Reads the listed files of settings, in the format of {@link Properties}, as UTF-8. */
final class SettingsFiles {

    private final Map<String, String> settings = new HashMap<>();
    private final List<Path> paths = new ArrayList<>();

    /**
     * Reads a file; of two settings of one name the first that was read stays.
     *
     * @param folder the folder of the file that names it
     * @param findings takes why it cannot be read
     */
    void read(WrittenName file, Path folder, AllowedFiles allowed, List<Finding> findings) {
        String reason;
        try {
            Path path = allowed.path(folder, file.text());
            paths.add(path);
            Properties read = properties(BoundedFile.read(path, SizeLimit.SETTINGS_FILE));
            read.stringPropertyNames()
                    .forEach(name -> settings.putIfAbsent(name, read.getProperty(name)));
            return;
        } catch (IOException fault) {
            reason = IoReason.of(fault);
        } catch (IllegalArgumentException malformed) {
            // Its message may hold what stands there.
            reason = "a \\u in it has no four digits";
        }
        findings.add(
                Finding.of(
                                FindingKinds.MALFORMED_FILE,
                                file.at(),
                                file.text(),
                                "The file of settings "
                                        + file.text()
                                        + " is not read: "
                                        + reason
                                        + ".")
                        .with("do", "correct the path or the file, or take it out"));
    }

    private static Properties properties(byte[] bytes) throws IOException {
        String text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
        Properties properties = new Properties();
        properties.load(new StringReader(text.startsWith("\uFEFF") ? text.substring(1) : text));
        return properties;
    }

    Map<String, String> settings() {
        return settings;
    }

    /** The files that are named, whether they could be read or not. */
    List<Path> paths() {
        return paths;
    }
}
