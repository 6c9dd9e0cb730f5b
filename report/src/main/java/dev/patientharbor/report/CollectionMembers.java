package dev.patientharbor.report;

import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.Answer.Element;
import dev.patientharbor.plan.RosterRow;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The members of collections: which of them are the same, and which row shows them first. */
final class CollectionMembers {

    private final Map<String, InstanceSharing> sharing;

    /** What members are, with who holds them, each with a number. */
    private final Map<List<Object>, Integer> known = new HashMap<>();

    /** The same by profile, for lists that were looked at. */
    private final Map<String, Map<List<Element>, Integer>> numbers = new HashMap<>();

    private final Map<String, RosterRow> told = new HashMap<>();

    /**
     * @param sharing by profile, who holds the same instance
     */
    CollectionMembers(Map<String, InstanceSharing> sharing) {
        this.sharing = sharing;
    }

    /** A text that is the same for the same members, held by the same consumers; blank for none. */
    String identity(String profile, Answer answer) {
        return answer.elements().isEmpty() ? "" : " " + number(profile, answer);
    }

    private int number(String profile, Answer answer) {
        Map<List<Element>, Integer> ofProfile =
                numbers.computeIfAbsent(profile, key -> new IdentityHashMap<>());
        Integer number = ofProfile.get(answer.elements());
        if (number == null) {
            List<Object> all =
                    answer.elements().stream()
                            .map(element -> (Object) described(profile, element))
                            .toList();
            number = known.computeIfAbsent(all, key -> known.size());
            ofProfile.put(answer.elements(), number);
        }
        return number;
    }

    /** A member, but for labels, which count one profile's instances, and those who hold it. */
    private record DescribedMember(
            Element unlabelled, boolean isLabelled, Set<String> holders, String nested) {}

    private DescribedMember described(String profile, Element element) {
        Answer answer = element.answer();
        return new DescribedMember(
                new Element(element.key(), element.carrier(), answer.labelled("")),
                answer.instance().isPresent(),
                sharing.get(profile).holders(answer),
                identity(profile, answer));
    }

    /**
     * Finds the row that showed the same members in the same profiles before; from now on it is
     * this one.
     */
    Optional<RosterRow> firstWithSame(List<String> profiles, RosterRow row, Answer answer) {
        String which = String.join("\n", profiles) + identity(profiles.get(0), answer);
        return Optional.ofNullable(told.putIfAbsent(which, row));
    }
}
