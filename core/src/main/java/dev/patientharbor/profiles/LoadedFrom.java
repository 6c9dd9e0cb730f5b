package dev.patientharbor.profiles;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.WrittenName;
import java.net.URISyntaxException;
import java.nio.file.FileSystemNotFoundException;
import java.nio.file.Path;
import java.security.CodeSource;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Tells the folders and jars from which classes were loaded; the JDK's own are left out. */
final class LoadedFrom {

    private LoadedFrom() {}

    static List<WrittenName> places(Set<Class<?>> classes, SourcePosition at) {
        Set<String> places = new LinkedHashSet<>();
        for (Class<?> type : classes) {
            CodeSource source = type.getProtectionDomain().getCodeSource();
            if (source != null && source.getLocation() != null) {
                try {
                    places.add(Path.of(source.getLocation().toURI()).toString());
                } catch (URISyntaxException
                        | IllegalArgumentException
                        | FileSystemNotFoundException notOnDisk) {
                    // What was made at run time has no class file to read.
                    continue;
                }
            }
        }
        return places.stream().map(place -> new WrittenName(place, at)).toList();
    }
}
