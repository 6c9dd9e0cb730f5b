package dev.patientharbor.surveying;

import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.survey.HandWiring;
import dev.patientharbor.survey.HardWiring;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Surveys the nests of the code with all processors; what it finds is in the order of their names.
 */
final class NestSurvey {

    /** So many nests are looked at by one thread: enough to keep what their accessors yield. */
    private static final int TOGETHER = 64;

    private final CodeIndex code;
    private final Set<String> asked;

    /** What some nests have. */
    record Findings(List<HardWiring> hardWired, List<HandWiring> handWiring) {}

    /**
     * @param asked the contracts for which consumers ask
     */
    NestSurvey(CodeIndex code, Set<String> asked) {
        this.code = code;
        this.asked = Set.copyOf(asked);
    }

    List<Findings> findings(List<ClassFacts> classes) {
        Set<String> outermost = new TreeSet<>();
        classes.forEach(facts -> outermost.add(NestBodies.outermost(facts.name())));
        List<String> names = List.copyOf(outermost);
        List<List<String>> parts = new ArrayList<>();
        for (int from = 0; from < names.size(); from += TOGETHER) {
            parts.add(names.subList(from, Math.min(from + TOGETHER, names.size())));
        }
        return parts.parallelStream().map(this::find).toList();
    }

    private Findings find(List<String> names) {
        HardWiredFinder finder =
                new HardWiredFinder(code, asked, Set.of(), name -> Optional.empty());
        HandWiringFinder wiring = new HandWiringFinder(new ContractTypes(code, asked));
        NestReader nests = new NestReader(code);
        List<HardWiring> hardWired = new ArrayList<>();
        List<HandWiring> handWiring = new ArrayList<>();
        for (String name : names) {
            if (finder.mayBe(name)) {
                nests.read(name)
                        .ifPresent(
                                nest -> {
                                    hardWired.addAll(finder.in(nest));
                                    handWiring.addAll(wiring.in(nest));
                                });
            }
        }
        return new Findings(hardWired, handWiring);
    }
}
