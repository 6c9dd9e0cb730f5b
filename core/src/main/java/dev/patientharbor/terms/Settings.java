package dev.patientharbor.terms;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Map;
import java.util.Optional;

/**
 * The settings of an environment, each with where it comes from. What comes from the process
 * environment is never printed: reports name its source only.
 *
 * @param properties system properties, looked at first
 * @param environment the process environment, looked at next
 * @param files the entries of the listed files, the first file that has one first
 */
public record Settings(
        Map<String, String> properties,
        Map<String, String> environment,
        Map<String, String> files) {

    /** No settings at all. */
    public static final Settings NONE = new Settings(Map.of(), Map.of(), Map.of());

    public Settings {
        RequiredArgument.of(properties, "properties");
        RequiredArgument.of(environment, "environment");
        RequiredArgument.of(files, "files");
        properties = Map.copyOf(properties);
        environment = Map.copyOf(environment);
        files = Map.copyOf(files);
    }

    /** The value of a setting, blank or not; empty if it is not set anywhere. */
    public Optional<String> find(String name) {
        RequiredArgument.of(name, "name");
        return Optional.ofNullable(properties.get(name))
                .or(() -> Optional.ofNullable(environment.get(name)))
                .or(() -> Optional.ofNullable(files.get(name)));
    }

    /** How many there are; never what they are, for some of them are secrets. */
    @Override
    public String toString() {
        return properties.size()
                + " system properties, "
                + environment.size()
                + " variables of the environment, "
                + files.size()
                + " entries of files";
    }
}
