package dev.patientharbor.notation;

import dev.patientharbor.check.Verdict;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.texts.RequiredArgument;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;

/** Writes JUnit 5 tests for profiles. */
public final class ProfileTests {

    private ProfileTests() {}

    /**
     * Writes a test class: every profile is complete, and each entry consumer is made under the
     * last profile of the file.
     *
     * @param profiles the profiles
     * @param profileFile the profile file, as the tests find it from their working directory
     * @param javaFile where the test will stand: it gives the name of the class, and the package by
     *     its folders below one that is called {@code java}
     * @return Java source; every line ends with {@code \n}
     * @throws IllegalArgumentException if the name of the file is no name of a Java class
     */
    public static String of(ProfileSet profiles, String profileFile, Path javaFile) {
        RequiredArgument.of(profiles, "profiles");
        RequiredArgument.of(profileFile, "profileFile");
        RequiredArgument.of(javaFile, "javaFile");
        String fileName = String.valueOf(javaFile.getFileName());
        String className = fileName.replaceFirst("\\.java$", "");
        if (!fileName.endsWith(".java") || !className.matches("[A-Za-z_]\\w*")) {
            throw new IllegalArgumentException(
                    fileName + " is no name of a Java file: write for example ProfilesTest.java");
        }
        List<String> names = profiles.profiles();
        String last = names.isEmpty() ? "" : names.get(names.size() - 1);
        String profile =
                names.stream().filter(name -> name.contains("test")).findFirst().orElse(last);
        return source(profiles, profileFile, packageOf(javaFile), className, profile);
    }

    private static String packageOf(Path javaFile) {
        List<String> names = new ArrayList<>();
        Path folder = javaFile.toAbsolutePath().normalize().getParent();
        while (folder != null && folder.getFileName() != null) {
            String name = folder.getFileName().toString();
            if (name.equals("java")) {
                return String.join(".", names);
            }
            names.add(0, name);
            folder = folder.getParent();
        }
        return "";
    }

    private static String source(
            ProfileSet profiles,
            String profileFile,
            String packageName,
            String className,
            String profile) {
        List<String> entries = entries(profiles, profile, packageName);
        Set<String> imports = new TreeSet<>();
        imports.add("dev.patientharbor.junit.CompleteProfiles");
        imports.add("dev.patientharbor.junit.Harbor");
        StringBuilder methods = new StringBuilder();
        for (String entry : entries) {
            imports.add("dev.patientharbor.junit.UnderProfile");
            imports.add("org.junit.jupiter.api.Test");
            String simple = entry.substring(entry.lastIndexOf('.') + 1);
            if (!entry.equals(packageName.isEmpty() ? simple : packageName + '.' + simple)) {
                imports.add(entry);
            }
            methods.append(
                    """

                        @Test
                        void %s_is_made(%s consumer) {
                            assertNotNull(consumer);
                        }
                    """
                            .formatted(words(simple), simple));
        }
        StringBuilder source = new StringBuilder();
        source.append(packageName.isEmpty() ? "" : "package " + packageName + ";\n\n");
        if (!entries.isEmpty()) {
            source.append("import static org.junit.jupiter.api.Assertions.assertNotNull;\n\n");
        }
        imports.forEach(name -> source.append("import ").append(name).append(";\n"));
        return source.append(
                        "\n"
                            + "/** Every profile is complete, and what begins the application is"
                            + " made. */\n")
                .append("@Harbor(\"")
                .append(escaped(profileFile))
                .append("\")\n")
                .append(entries.isEmpty() ? "" : "@UnderProfile(\"" + escaped(profile) + "\")\n")
                .append("class ")
                .append(className)
                .append(" implements CompleteProfiles {\n")
                .append(methods)
                .append("}\n")
                .toString();
    }

    private static String escaped(String text) {
        return text.replace("\\", "\\\\").replace("\"", "\\\"");
    }

    private static String words(String simpleName) {
        return simpleName.replaceAll("(?<=[a-z0-9])(?=[A-Z])", "_").toLowerCase(Locale.ROOT);
    }

    /** The entry consumers that a test in that package can name, each simple name once. */
    private static List<String> entries(ProfileSet profiles, String profile, String packageName) {
        if (profile.isEmpty()) {
            return List.of();
        }
        Verdict verdict = profiles.check();
        Set<String> simpleNames = new TreeSet<>();
        return verdict.roster(profile).rows().stream()
                .filter(row -> row.as().isEmpty())
                .map(RosterRow::consumer)
                .filter(name -> name.indexOf('$') < 0)
                .filter(name -> verdict.isPublic(name) || isIn(packageName, name, verdict))
                .filter(name -> simpleNames.add(name.substring(name.lastIndexOf('.') + 1)))
                .toList();
    }

    private static boolean isIn(String packageName, String name, Verdict verdict) {
        return verdict.knows(name)
                && name.substring(0, Math.max(0, name.lastIndexOf('.'))).equals(packageName);
    }
}
