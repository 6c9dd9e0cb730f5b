package dev.patientharbor.rules;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.Need;
import dev.patientharbor.needs.SlotTable;
import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingWording;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.survey.CodeLocation;
import dev.patientharbor.surveying.CastFinder;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Notes consumers that take what they receive for one of the classes that profiles put there: with
 * another one they do something else, or fail.
 */
final class CastRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        Set<Blueprint> makers = Collections.newSetFromMap(new IdentityHashMap<>());
        set.eachDistinctSeat(
                (wiring, seat) -> wiring.outcome(seat).blueprint().ifPresent(makers::add));
        ClassesBehind classes = new ClassesBehind(set.code(), makers);
        CastFinder finder = new CastFinder(set.code());
        Map<String, TreeMap<CodeLocation, String>> found = new TreeMap<>();
        for (Blueprint maker : makers) {
            if (maker.method().isEmpty() && set.code().inCode(maker.className())) {
                for (Need need : maker.needs()) {
                    String contract = SlotTable.className(set.content(need.slot()));
                    place(maker, need.place())
                            .map(place -> finder.in(place, classes.of(contract)))
                            .orElse(new TreeMap<>())
                            .forEach(
                                    (name, at) ->
                                            found.computeIfAbsent(
                                                            maker.className(),
                                                            key ->
                                                                    new TreeMap<>(
                                                                            CodeLocation.ORDER))
                                                    .put(
                                                            at,
                                                            text(context, contract, name)
                                                                    + " ("
                                                                    + at.text()
                                                                    + ")"));
                }
            }
        }
        found.forEach((name, places) -> context.reporter().report(finding(context, name, places)));
    }

    private static String text(RuleContext context, String contract, String name) {
        FindingWording wording = context.wording();
        return wording.shortName(contract) + " for a " + wording.shortName(name);
    }

    /** Where in a class an object is handed in; empty if no member takes it. */
    private static Optional<CastFinder.Place> place(Blueprint maker, NeedPlace place) {
        int end = place.member().indexOf('#');
        String owner = end < 0 ? maker.className() : place.member().substring(0, end);
        String member = place.member().substring(end + 1);
        return switch (place.kind()) {
            case FIELD, STATIC_FIELD -> Optional.of(CastFinder.Place.field(owner, member));
            case CONSTRUCTOR ->
                    maker.executable()
                            .map(ExecutableFacts::erasedParameterTypes)
                            .map(
                                    types ->
                                            CastFinder.Place.parameter(
                                                    owner, "<init>", types, place.index()));
            case METHOD, STATIC_METHOD -> {
                int open = member.indexOf('(');
                String types = member.substring(open + 1, member.length() - 1);
                yield Optional.of(
                        CastFinder.Place.parameter(
                                owner,
                                member.substring(0, open),
                                types.isEmpty() ? List.of() : List.of(types.split(",")),
                                place.index()));
            }
            case DECLARED, LOOKUP -> Optional.empty();
        };
    }

    /** The classes that stand behind contracts in some profile, and what they extend. */
    private static final class ClassesBehind {
        private final CodeIndex code;
        private final Map<String, TreeSet<String>> makersOf = new HashMap<>();
        private final Map<String, List<String>> known = new HashMap<>();

        ClassesBehind(CodeIndex code, Set<Blueprint> makers) {
            this.code = code;
            for (Blueprint maker : makers) {
                maker.handsOut()
                        .ifPresent(
                                type ->
                                        code.lineage(type.name())
                                                .forEach(above -> add(above, type.name())));
            }
            makersOf.remove("java.lang.Object");
        }

        private void add(String contract, String made) {
            makersOf.computeIfAbsent(contract, key -> new TreeSet<>()).add(made);
        }

        /** Those of which not every object of a contract is one. */
        List<String> of(String contract) {
            return known.computeIfAbsent(contract, this::find);
        }

        private List<String> find(String contract) {
            TreeSet<String> classes = new TreeSet<>();
            makersOf.getOrDefault(contract, new TreeSet<>())
                    .forEach(made -> classes.addAll(code.lineage(made)));
            classes.removeAll(code.lineage(contract));
            classes.removeIf(name -> !isClass(name));
            return List.copyOf(classes);
        }

        private boolean isClass(String name) {
            Optional<ClassFacts> facts = code.inCode(name) ? code.find(name) : Optional.empty();
            return facts.filter(each -> !each.isInterface()).isPresent();
        }
    }

    private static Finding finding(
            RuleContext context, String consumer, TreeMap<CodeLocation, String> places) {
        FindingWording wording = context.wording();
        return Finding.of(
                        FindingKinds.CANNOT_SWAP,
                        places.firstKey().position(),
                        consumer,
                        wording.shortName(consumer)
                                + " takes its "
                                + FindingWording.list(List.copyOf(places.values()))
                                + ".")
                .with("so", "with another class there it does something else, or fails")
                .with("do", "have the contract say what " + wording.shortName(consumer) + " needs")
                .touching(List.of(consumer), List.of());
    }
}
