package dev.patientharbor.resolve;

import dev.patientharbor.code.AnnotationFacts;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.CodePlaces;
import dev.patientharbor.code.MadeUpCode;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.Area;
import dev.patientharbor.model.Binding;
import dev.patientharbor.model.Decorator;
import dev.patientharbor.model.DecoratorStatement;
import dev.patientharbor.model.GivenArguments;
import dev.patientharbor.model.HouseMarks;
import dev.patientharbor.model.LevelStatements;
import dev.patientharbor.model.PlaceStatements;
import dev.patientharbor.model.Profile;
import dev.patientharbor.model.ProfileTerms;
import dev.patientharbor.model.Reach;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.model.Strictness;
import dev.patientharbor.model.Supply;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.terms.ImplementationKind;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.ReachRange;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.WrittenName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * A random application with random profiles: contracts {@code p.C0…}, each with one or two
 * implementations, a decorator and one that is made of all others; consumers {@code p.D0…}; marks
 * on classes, and files that let these fill what nothing binds; areas in a line or side by side;
 * profiles that extend others.
 */
final class World {

    private static final int CONTRACTS = 4;
    private static final int CONSUMERS = 4;
    private static final List<String> KEYS = List.of("", "a", "b");

    /** What needs are wrapped in, outermost first. */
    private static final List<String> CARRIERS =
            List.of(
                    "",
                    "",
                    "",
                    "",
                    "Optional",
                    "List",
                    "List",
                    "Map",
                    "Supplier",
                    "Optional Supplier",
                    "Supplier Optional",
                    "List Supplier",
                    "Map Supplier",
                    "Optional List",
                    "Supplier List");

    /** One need: a contract, a key, and a wrapping. */
    record Asks(String contract, String key, String carrier) {}

    /** What one profile says at one level: a supply for each slot, layers, and how far to look. */
    record Said(
            Map<String, String> bindings,
            Map<String, List<String>> layers,
            Map<String, String> reaches) {}

    final Random random;
    final Map<String, List<Asks>> needs = new LinkedHashMap<>();

    /** The marks on classes: {@code singleton}, or {@code @} and a key, which may be blank. */
    final Map<String, String> marks = new HashMap<>();

    final List<FillInSource> fillIn;
    final Map<String, String> areaOf = new HashMap<>();
    final Map<String, String> areaInside = new LinkedHashMap<>();
    final List<String> profiles = new ArrayList<>();
    final Map<String, List<String>> parents = new HashMap<>();
    final Map<String, Map<String, Said>> said = new HashMap<>();
    private final List<ClassFacts> classes = new ArrayList<>();
    private final boolean whole;

    /** Whether nothing is said but for the profile as a whole; only then a class may be single. */
    private final boolean plain;

    private int line = 10;

    World(long seed) {
        this(seed, false);
    }

    /**
     * @param whole whether the first profile binds every slot, some of them to fresh objects, and
     *     all others extend it
     */
    World(long seed, boolean whole) {
        this.whole = whole;
        random = new Random(seed);
        plain = random.nextInt(3) == 0;
        fillIn =
                pick(
                        List.of(
                                List.of(),
                                List.of(),
                                List.of(FillInSource.MARKED),
                                List.of(FillInSource.SOLE),
                                List.of(FillInSource.SOLE, FillInSource.MARKED)));
        for (int i = 0; i < CONTRACTS; i++) {
            classes.add(MadeUpCode.contract("p.C" + i));
            // Needs point to contracts of a higher number, so that objects end somewhere.
            addClass("p.I" + i + "x", "p.C" + i, asks(i + 1));
            if (random.nextInt(3) > 0) {
                addClass("p.I" + i + "y", "p.C" + i, asks(i + 1));
            }
            List<Asks> wraps = new ArrayList<>(List.of(new Asks("p.C" + i, "", "")));
            wraps.addAll(asks(i + 1));
            addClass("p.W" + i, "p.C" + i, wraps);
            if (!whole && random.nextInt(4) == 0) {
                addClass("p.A" + i, "p.C" + i, List.of(new Asks("p.C" + i, "", "List")));
            }
        }
        for (int i = 0; i < CONSUMERS; i++) {
            addClass("p.D" + i, "", asks(0));
        }
        areas();
        int count = 1 + random.nextInt(4);
        for (int i = 0; i < count; i++) {
            profile("profile" + i);
        }
    }

    private List<Asks> asks(int from) {
        List<Asks> asks = new ArrayList<>();
        for (int n = random.nextInt(4); n > 0 && from < CONTRACTS; n--) {
            String contract = "p.C" + (from + random.nextInt(CONTRACTS - from));
            asks.add(new Asks(contract, pick(KEYS), pick(CARRIERS)));
        }
        return asks;
    }

    private <T> T pick(List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    private String mark(String name) {
        if (name.startsWith("p.D") || random.nextInt(2) == 0) {
            return "";
        }
        return plain && name.startsWith("p.I") && random.nextBoolean()
                ? "singleton"
                : "@" + pick(KEYS);
    }

    boolean isSingle(String className) {
        return marks.get(className).equals("singleton");
    }

    private List<AnnotationFacts> annotations(String name) {
        String mark = marks.get(name);
        if (mark.isEmpty()) {
            return List.of();
        }
        return List.of(
                mark.startsWith("@")
                        ? new AnnotationFacts(
                                "jakarta.inject.Named", Map.of("value", mark.substring(1)))
                        : new AnnotationFacts("jakarta.inject.Singleton", Map.of()));
    }

    private static String wrapped(String carriers, String type) {
        String all = type;
        List<String> outermostFirst = List.of(carriers.split(" "));
        for (int i = outermostFirst.size() - 1; i >= 0; i--) {
            all =
                    switch (outermostFirst.get(i)) {
                        case "" -> all;
                        case "Map" -> "Ljava/util/Map<Ljava/lang/String;" + all + ">;";
                        case "Supplier" -> "Ljava/util/function/Supplier<" + all + ">;";
                        default -> "Ljava/util/" + outermostFirst.get(i) + "<" + all + ">;";
                    };
        }
        return all;
    }

    private void addClass(String name, String contract, List<Asks> asks) {
        needs.put(name, asks);
        marks.put(name, mark(name));
        List<String> generic = new ArrayList<>();
        List<String> erased = new ArrayList<>();
        for (Asks ask : asks) {
            String type = 'L' + ask.contract().replace('.', '/') + ';';
            String wrapped = wrapped(ask.carrier(), type);
            generic.add(wrapped);
            erased.add(wrapped.replaceAll("<.*>", ""));
        }
        classes.add(
                MadeUpCode.classOf(
                        name,
                        contract.isEmpty() ? List.of() : List.of(contract),
                        generic,
                        erased,
                        asks.stream().map(Asks::key).toList(),
                        annotations(name)));
    }

    private void areas() {
        int count = plain ? 0 : random.nextInt(4);
        for (int i = 0; i < count; i++) {
            areaInside.put("area" + i, i > 0 && random.nextBoolean() ? "area" + (i - 1) : "");
        }
        for (String name : needs.keySet()) {
            if (count > 0 && random.nextInt(3) == 0) {
                areaOf.put(name, "area" + random.nextInt(count));
            }
        }
    }

    private void profile(String name) {
        List<String> extended = new ArrayList<>();
        for (String earlier : profiles) {
            if (random.nextInt(3) == 0 && extended.size() < 2) {
                extended.add(earlier);
            }
        }
        if (whole && extended.isEmpty() && !profiles.isEmpty()) {
            extended.add(profiles.get(0));
        }
        Map<String, Said> levels = new LinkedHashMap<>();
        levels.put("", words(whole ? 3 : 10, ""));
        if (whole && profiles.isEmpty()) {
            for (int i = 0; i < CONTRACTS; i++) {
                for (String key : KEYS) {
                    if (fillIn.isEmpty() || random.nextInt(3) > 0) {
                        levels.get("").bindings().put(slot(i, key), usual(i));
                    }
                }
            }
        }
        profiles.add(name);
        parents.put(name, extended);
        for (String area : areaInside.keySet()) {
            if (random.nextBoolean()) {
                levels.put(area, words(3, area));
            }
        }
        for (int i = 0; i < CONSUMERS; i++) {
            if (!plain && random.nextInt(4) == 0) {
                levels.put("p.D" + i, words(3, "p.D" + i));
            }
        }
        said.put(name, levels);
    }

    private Said words(int most, String level) {
        Map<String, String> bindings = new LinkedHashMap<>();
        for (int n = random.nextInt(most + 1); n > 0; n--) {
            int contract = random.nextInt(CONTRACTS);
            bindings.put(slot(contract, pick(KEYS)), supply(contract));
        }
        Map<String, List<String>> layers = new LinkedHashMap<>();
        if (random.nextInt(3) == 0) {
            int contract = random.nextInt(CONTRACTS);
            layers.put(
                    slot(contract, pick(KEYS)),
                    random.nextInt(4) == 0 ? List.of() : List.of("p.W" + contract));
        }
        Map<String, String> reaches = new LinkedHashMap<>();
        if (level.startsWith("p.") && random.nextInt(3) == 0) {
            for (Asks one : needs.get(level)) {
                if (random.nextBoolean()) {
                    reaches.putIfAbsent(
                            one.contract() + (one.key().isEmpty() ? "" : "@" + one.key()),
                            random.nextBoolean() ? "own" : "outside");
                }
            }
        }
        return new Said(bindings, layers, reaches);
    }

    private String usual(int contract) {
        String y = "p.I" + contract + "y";
        return needs.containsKey(y) && random.nextBoolean() ? y : "p.I" + contract + "x";
    }

    private static String slot(int contract, String key) {
        return "p.C" + contract + (key.isEmpty() ? "" : "@" + key);
    }

    private String supply(int contract) {
        return switch (random.nextInt(9)) {
            case 0 -> "mock";
            case 1 -> "none";
            case 2 -> "same-as " + slot(contract, pick(KEYS));
            case 3 -> "removed";
            case 4 -> needs.containsKey("p.A" + contract) ? "p.A" + contract : usual(contract);
            default -> usual(contract);
        };
    }

    CodeIndex code() {
        return MadeUpCode.of(classes);
    }

    CodePlaces places() {
        return MadeUpCode.places(classes);
    }

    SetDeclaration set() {
        List<Area> areas = new ArrayList<>();
        areaInside.forEach(
                (name, outer) ->
                        areas.add(
                                new Area(
                                        name,
                                        outer.isEmpty()
                                                ? Optional.empty()
                                                : Optional.of(written(outer)),
                                        areaOf.entrySet().stream()
                                                .filter(entry -> entry.getValue().equals(name))
                                                .map(entry -> written(entry.getKey()))
                                                .sorted(
                                                        java.util.Comparator.comparing(
                                                                WrittenName::text))
                                                .toList(),
                                        next())));
        List<Profile> all = new ArrayList<>();
        for (String name : profiles) {
            List<PlaceStatements> within = new ArrayList<>();
            said.get(name)
                    .forEach(
                            (level, words) -> {
                                if (!level.isEmpty()) {
                                    within.add(new PlaceStatements(written(level), words(words)));
                                }
                            });
            all.add(
                    new Profile(
                            name,
                            false,
                            parents.get(name).stream().map(this::written).toList(),
                            ProfileTerms.NONE,
                            words(said.get(name).get("")),
                            within,
                            next()));
        }
        List<WrittenName> entries = new ArrayList<>();
        for (int i = 0; i < CONSUMERS; i++) {
            entries.add(written("p.D" + i));
        }
        return new SetDeclaration(
                "world",
                List.of(MadeUpCode.PLACE),
                List.of(),
                List.of(),
                entries,
                List.of(),
                List.of(),
                Lifetime.SHARED,
                HouseMarks.NONE,
                List.of(),
                fillIn,
                Strictness.AS_IS,
                areas,
                all,
                next());
    }

    private LevelStatements words(Said said) {
        List<Binding> bindings = new ArrayList<>();
        said.bindings()
                .forEach(
                        (slot, supply) ->
                                bindings.add(
                                        new Binding(
                                                slot(slot),
                                                supply(supply),
                                                GivenArguments.NOTHING,
                                                lifetime(supply),
                                                false,
                                                Optional.empty(),
                                                Grounds.NONE,
                                                next())));
        List<DecoratorStatement> layers = new ArrayList<>();
        said.layers()
                .forEach(
                        (slot, names) ->
                                layers.add(
                                        DecoratorStatement.of(
                                                slot(slot),
                                                names.stream()
                                                        .map(this::written)
                                                        .map(Decorator::ofClass)
                                                        .toList(),
                                                next())));
        List<Reach> reaches = new ArrayList<>();
        said.reaches()
                .forEach(
                        (slot, word) ->
                                reaches.add(
                                        new Reach(
                                                written(slot),
                                                word.equals("own")
                                                        ? ReachRange.OWN
                                                        : ReachRange.OUTSIDE,
                                                Optional.empty())));
        return new LevelStatements(bindings, layers, reaches);
    }

    private Optional<Lifetime> lifetime(String supply) {
        return whole && supply.startsWith("p.") && random.nextInt(4) == 0
                ? Optional.of(Lifetime.FRESH)
                : Optional.empty();
    }

    private static Slot slot(String text) {
        int at = text.indexOf('@');
        return at < 0
                ? Slot.of(text)
                : new Slot(
                        TypeRef.of(text.substring(0, at)),
                        Optional.of(Key.named(text.substring(at + 1))));
    }

    private Supply supply(String text) {
        return switch (text) {
            case "mock" -> new Supply.Mock();
            case "none" -> new Supply.None();
            case "removed" -> new Supply.Removed();
            default ->
                    text.startsWith("same-as ")
                            ? new Supply.SameAs(slot(text.substring(8)))
                            : new Supply.OfClass(ImplementationKind.REAL, written(text));
        };
    }

    private WrittenName written(String text) {
        return new WrittenName(text, next());
    }

    private SourcePosition next() {
        return new SourcePosition.InFile("w", line++, 1);
    }
}
