package dev.patientharbor.notation;

import static java.nio.charset.StandardCharsets.UTF_8;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.model.Profile;
import dev.patientharbor.profiles.ProfileSet;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.snakeyaml.engine.v2.exceptions.YamlEngineException;

/** Adds to a profile of a file what it misses; nothing that stands there is changed. */
final class DraftAddition {

    private static final String PROFILES = "profiles";
    private static final String BINDINGS = "bindings";

    private final String original;
    private final String name;
    private final Path folder;
    private final List<Path> code;
    private final String profile;
    private final DraftChoices choices = new DraftChoices();

    /**
     * @param code in place of the file's own, absolute; none for its own
     */
    DraftAddition(String original, String name, Path folder, List<Path> code, String profile) {
        this.original = original;
        this.name = name;
        this.folder = folder;
        this.code = List.copyOf(code);
        this.profile = profile;
    }

    ProfileDraft draft() {
        try {
            return filled();
        } catch (YamlEngineException damaged) {
            throw new IllegalArgumentException(
                    "nothing can be added to " + name + ", for it is no YAML; check it first",
                    damaged);
        }
    }

    private ProfileDraft filled() {
        Set<String> concerned = concerned();
        String text = original;
        Verdict verdict = check(text);
        while (choices.mend(
                findings(verdict, concerned), DraftYaml.lines(text, PROFILES, profile, BINDINGS))) {
            text = text();
            verdict = check(text);
        }
        return new ProfileDraft(
                text, choices.toFill(), choices.remarks(findings(verdict, concerned)));
    }

    private Verdict check(String text) {
        return set(text).check(LocalDate.EPOCH);
    }

    private ProfileSet set(String text) {
        ProfileSet set = ProfileFiles.parse(text.getBytes(UTF_8), name, folder);
        return code.isEmpty() ? set : set.withCode(code.toArray(Path[]::new));
    }

    /** The profile itself; if it is partial, those that extend it. */
    private Set<String> concerned() {
        List<Profile> all = set(original).declared().profiles();
        Profile meant =
                all.stream()
                        .filter(each -> each.name().equals(profile))
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new IllegalArgumentException(
                                                "there is no profile "
                                                        + profile
                                                        + "; there are "
                                                        + String.join(
                                                                ", ",
                                                                all.stream()
                                                                        .map(Profile::name)
                                                                        .toList())));
        Set<String> found = new HashSet<>(Set.of(meant.name()));
        boolean grows = meant.partial();
        while (grows) {
            grows = false;
            for (Profile each : all) {
                boolean extendsOne =
                        each.parents().stream().anyMatch(parent -> found.contains(parent.text()));
                grows |= extendsOne && found.add(each.name());
            }
        }
        return found;
    }

    private static List<Finding> findings(Verdict verdict, Set<String> profiles) {
        List<Finding> found = new ArrayList<>();
        for (ProfileVerdict each : verdict.profiles()) {
            if (profiles.contains(each.name())) {
                found.addAll(each.findings());
            }
        }
        return found;
    }

    private String text() {
        DraftYaml bindings = new DraftYaml();
        for (Map.Entry<String, DraftChoice> choice : choices.choices().entrySet()) {
            bindings.text(
                    choice.getKey(), choice.getValue().supply(), choice.getValue().comments());
        }
        String text = original;
        if (!bindings.isEmpty()) {
            List<String> added = bindings.text().lines().toList();
            text = new YamlInsertion(text).into(added, PROFILES, profile, BINDINGS);
        }
        // A list of them that is there stays as it is: a person adds to it.
        if (choices.mayBeEmpty().isEmpty() || text.contains("may-be-empty:")) {
            return text;
        }
        String all = String.join(", ", choices.mayBeEmpty());
        return new YamlInsertion(text).into(List.of("may-be-empty: [" + all + "]"));
    }
}
