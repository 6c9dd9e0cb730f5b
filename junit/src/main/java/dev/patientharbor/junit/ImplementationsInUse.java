package dev.patientharbor.junit;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.profiles.ProfileSet;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** Which implementations profiles use, mocks and canned answers left out. */
final class ImplementationsInUse {

    private static final Set<AnswerKind> KINDS =
            Set.of(AnswerKind.REAL, AnswerKind.FAKE, AnswerKind.STUB, AnswerKind.FACTORY);

    private ImplementationsInUse() {}

    /**
     * An implementation, as the first profile uses it that does.
     *
     * @param name its class, by binary name, or what makes it
     */
    record ImplementationInUse(String name, String profile, Answer answer) {

        /** What people read: {@code stub CalmFeed, as in rehearsal}. */
        String words() {
            String shortName = name.substring(name.lastIndexOf('.') + 1);
            return answer.kind().word() + " " + shortName + ", as in " + profile;
        }
    }

    /** By the binary name of each contract its implementations, by their names. */
    static Map<String, Map<String, ImplementationInUse>> of(ProfileSet set, List<String> profiles) {
        Map<String, Map<String, ImplementationInUse>> all = new TreeMap<>();
        for (String profile : profiles) {
            for (RosterRow row : set.roster(profile).rows()) {
                for (Answer one : answers(row.answer())) {
                    String name = one.implementation().orElseThrow();
                    all.computeIfAbsent(contract(row), it -> new LinkedHashMap<>())
                            .putIfAbsent(name, new ImplementationInUse(name, profile, one));
                }
            }
        }
        return all;
    }

    private static String contract(RosterRow row) {
        String text = row.slot().contract().text();
        return text.contains("<") ? text.substring(0, text.indexOf('<')) : text;
    }

    private static List<Answer> answers(Answer answer) {
        List<Answer> all = new ArrayList<>();
        if (answer.kind() == AnswerKind.COLLECTION) {
            answer.elements().forEach(element -> all.addAll(answers(element.answer())));
        } else if (KINDS.contains(answer.kind()) && answer.implementation().isPresent()) {
            all.add(answer);
        }
        return all;
    }
}
