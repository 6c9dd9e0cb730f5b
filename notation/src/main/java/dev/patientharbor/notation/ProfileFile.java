package dev.patientharbor.notation;

import dev.patientharbor.code.CodeRoot;
import dev.patientharbor.code.Wanted;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Where;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Circumstances;
import dev.patientharbor.model.ImplementationKind;
import dev.patientharbor.model.ProfileSet;
import dev.patientharbor.model.Settings;
import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.TypeRef;
import dev.patientharbor.model.Written;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What one profile file says, and what is wrong with its text.
 *
 * @param set everything that could be understood
 * @param settingsOfFiles what the listed files of settings say, the first that says it
 * @param findings what could not, in order of place
 * @param folders the folder of each file, by its name: the paths in it start there
 */
public record ProfileFile(
        ProfileSet set,
        Map<String, String> settingsOfFiles,
        List<Finding> findings,
        Map<String, Path> folders) {
    public ProfileFile {
        settingsOfFiles = Map.copyOf(settingsOfFiles);
        findings = List.copyOf(findings);
        folders = Map.copyOf(folders);
    }

    /** What must be read of the code for this file beyond marked declarations. */
    public Wanted wanted() {
        Set<String> methodsOf = new HashSet<>();
        Set<String> constants = new HashSet<>();
        Set<String> calls = new HashSet<>();
        Set<String> standIns = new HashSet<>();
        Set<String> aliases = new HashSet<>();
        boolean contracts = false;
        for (Binding binding : (Iterable<Binding>) set.bindings()::iterator) {
            Supply supply = binding.supply();
            if (supply instanceof Supply.Factory factory) {
                methodsOf.add(factory.holder().text());
            } else if (supply instanceof Supply.ByStatedKey stated) {
                constants.add(stated.method());
            } else if (supply instanceof Supply.OfAnswers) {
                contracts = true;
                methodsOf.add(contractOf(binding));
                calls.add(contractOf(binding));
            } else if (supply instanceof Supply.OfClass one
                    && one.of() != ImplementationKind.REAL) {
                calls.add(contractOf(binding));
                standIns.add(one.name().text());
            } else if (supply instanceof Supply.SameAs) {
                aliases.add(contractOf(binding));
            }
        }
        for (StatedConsumer consumer : set.consumers()) {
            if (consumer instanceof StatedConsumer.Handler handler) {
                methodsOf.add(handler.holder().text());
            }
        }
        Set<String> lookups =
                set.marks().lookup().stream().map(Written::text).collect(Collectors.toSet());
        if (!calls.isEmpty()) {
            calls.addAll(aliases);
        }
        return new Wanted(methodsOf, lookups, constants, contracts, calls, standIns);
    }

    private static String contractOf(Binding binding) {
        return binding.slot().contract() instanceof TypeRef.ClassType type
                ? type.name()
                : binding.slot().contract().text();
    }

    /** The settings of this process: system properties, its environment, then the listed files. */
    public Settings settings() {
        Map<String, String> properties = new HashMap<>();
        System.getProperties()
                .stringPropertyNames()
                .forEach(name -> properties.put(name, System.getProperty(name)));
        return new Settings(properties, System.getenv(), settingsOfFiles);
    }

    /**
     * What a check of the file depends on.
     *
     * @param today the day that {@code until} is compared with
     */
    public Circumstances circumstances(LocalDate today) {
        return new Circumstances(settings(), today, findings);
    }

    /**
     * The compiled code that the file and its profiles name, paths taken from the folder of the
     * file in which they stand.
     */
    public List<CodeRoot> codeRoots() {
        return Stream.concat(
                        set.code().stream(),
                        set.profiles().stream()
                                .flatMap(one -> one.terms().code().stream())
                                .flatMap(List::stream))
                .map(written -> new CodeRoot(written, path(written, folders)))
                .toList();
    }

    static Path path(Written written, Map<String, Path> folders) {
        String file = written.at().match(Where.InFile::path, in -> "");
        return folders.getOrDefault(file, Path.of("")).resolve(written.text().replace('\0', '?'));
    }
}
