package dev.patientharbor.names;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.model.StatedConsumer;
import dev.patientharbor.terms.SlotParser;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.texts.NameSearch;
import dev.patientharbor.types.Carrier;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/** Looks up class names as users write them, and writes them as users read them. */
public final class ClassNames {

    /** The deepest nesting of classes that is looked up: more than anybody writes. */
    private static final int DEEPEST = 50;

    /** The number of names that are looked for one by one sooner than all are sorted out. */
    private static final int FEW = 16;

    private final CodeIndex code;
    private final List<String> packages;
    private final Map<String, List<ClassFacts>> known = new ConcurrentHashMap<>();
    private final Set<String> things = new HashSet<>();
    private final Map<String, Boolean> sharedNames = new ConcurrentHashMap<>();
    private final Map<String, String> shortNames = new ConcurrentHashMap<>();
    private volatile SimpleNameHashes hashes;
    private volatile SimpleNames bySimpleName;
    private NameSearch simpleNames;

    /** The names of a set: those of the classes that are seen, and of what it states itself. */
    public ClassNames(CodeIndex code, SetDeclaration set) {
        this.code = code;
        packages = set.packages().stream().map(WrittenName::text).toList();
        for (StatedConsumer consumer : set.consumers()) {
            consumer.match(
                            thing -> Optional.of(thing.name()),
                            handler -> Optional.<WrittenName>empty(),
                            statics -> Optional.<WrittenName>empty())
                    .ifPresent(name -> things.add(name.text()));
        }
    }

    /**
     * Looks up a name: as a full name first, then in the listed packages, then in {@code
     * java.lang}, then among the types that wrap needs, such as {@code Optional}. Nested classes
     * may be written with {@code .} or {@code $}.
     */
    public NameLookup lookup(WrittenName name) {
        return new NameLookup(name, known.computeIfAbsent(name.text(), this::find));
    }

    /** A class by its full name, if it is known; else as it was written. */
    public WrittenName full(WrittenName name) {
        return lookup(name)
                .facts()
                .map(facts -> new WrittenName(facts.name(), name.at()))
                .orElse(name);
    }

    private List<ClassFacts> find(String name) {
        if (!SlotParser.isName(name)) {
            return List.of();
        }
        Optional<ClassFacts> full = findNested(name);
        if (full.isPresent()) {
            return List.of(full.get());
        }
        List<ClassFacts> found = new ArrayList<>();
        for (String packageName : packages) {
            findNested(packageName + '.' + name)
                    .filter(facts -> found.stream().noneMatch(other -> other == facts))
                    .ifPresent(found::add);
        }
        if (found.isEmpty()) {
            findNested("java.lang." + name)
                    .or(() -> Carrier.named(name).flatMap(code::find))
                    .ifPresent(found::add);
        }
        return found;
    }

    private Optional<ClassFacts> findNested(String name) {
        String binary = name;
        for (int level = 0; ; level++) {
            Optional<ClassFacts> facts = code.find(binary);
            int dot = binary.lastIndexOf('.');
            if (facts.isPresent() || dot < 0 || level == DEEPEST) {
                return facts;
            }
            binary = binary.substring(0, dot) + '$' + binary.substring(dot + 1);
        }
    }

    /** Returns whether a name is that of a class which is there and cannot be read. */
    public boolean isUnreadable(String name) {
        if (!SlotParser.isName(name)) {
            return false;
        }
        List<String> whole = new ArrayList<>(List.of(name));
        packages.forEach(packageName -> whole.add(packageName + '.' + name));
        return whole.stream().flatMap(ClassNames::nested).anyMatch(this::isUnreadableClass);
    }

    private boolean isUnreadableClass(String binaryName) {
        return code.inCode(binaryName) && code.find(binaryName).isEmpty();
    }

    /** A name with more and more of its last dots read as those of nested classes. */
    private static Stream<String> nested(String name) {
        return Stream.iterate(
                        name,
                        binary -> binary.indexOf('.') >= 0,
                        binary -> {
                            int dot = binary.lastIndexOf('.');
                            return binary.substring(0, dot) + '$' + binary.substring(dot + 1);
                        })
                .limit(DEEPEST);
    }

    /** Whether a name is one of what the set states as a consumer, and no class. */
    public boolean isThing(String name) {
        return things.contains(name);
    }

    /** The number of classes of the code. */
    public int known() {
        return code.size();
    }

    /**
     * The class as people read it: its simple name, or the full one where two classes of the code
     * share the simple one. What is no class, and what is built in, is called as it is.
     */
    public String shortName(String binaryName) {
        return shortNames.computeIfAbsent(binaryName, this::newShortName);
    }

    private String newShortName(String binaryName) {
        if (things.contains(binaryName)) {
            return binaryName;
        }
        if (BuiltIn.isMeantBy(binaryName)) {
            return BuiltIn.shortWords(binaryName);
        }
        String simple = simpleName(binaryName);
        return isOfOthers(simple, binaryName) ? binaryName : simple;
    }

    /** Whether another class has a simple name, alone or too; asks all names only if it must. */
    private boolean isOfOthers(String simple, String binaryName) {
        SimpleNames known = bySimpleName;
        if (known != null) {
            return known.isOfOthers(simple, binaryName);
        }
        return switch (hashes().find(simple)) {
            case NONE -> false;
            case ONE -> !code.inCode(binaryName) && bySimpleName().isOfOthers(simple, binaryName);
            case PERHAPS_SEVERAL ->
                    sharedNames.computeIfAbsent(simple, this::isShared)
                            || !code.inCode(binaryName)
                                    && bySimpleName().isOfOthers(simple, binaryName);
        };
    }

    /** Whether several classes have a simple name; looks through all names. */
    private boolean isShared(String simple) {
        if (sharedNames.size() >= FEW) {
            return bySimpleName().classes(simple).size() > 1;
        }
        String end = simple.substring(simple.lastIndexOf('.') + 1);
        return code.names().stream()
                        .filter(name -> name.endsWith(end) && simpleName(name).equals(simple))
                        .limit(2)
                        .count()
                > 1;
    }

    private SimpleNameHashes hashes() {
        SimpleNameHashes made = hashes;
        if (made == null) {
            made = new SimpleNameHashes(code);
            hashes = made;
        }
        return made;
    }

    /** The class as a file of this set may write it: short where that is enough to find it. */
    public String toWrite(String binaryName) {
        String simple = simpleName(binaryName);
        return lookup(new WrittenName(simple, SourcePosition.classNamed(binaryName)))
                .facts()
                .filter(facts -> facts.name().equals(binaryName))
                .map(facts -> simple)
                .orElse(binaryName);
    }

    /**
     * Names that somebody may have meant, nearest first; with their package where the short name
     * alone would not be found.
     */
    public List<String> near(String name) {
        String simple = name.substring(name.lastIndexOf('.') + 1);
        Set<String> names = new LinkedHashSet<>();
        for (String near : simpleNames().near(simple)) {
            for (String full : bySimpleName().classes(near)) {
                boolean listed =
                        packages.contains(full.substring(0, Math.max(0, full.lastIndexOf('.'))));
                names.add(listed && !near.equals(name) ? near : full);
            }
        }
        return List.copyOf(names);
    }

    private NameSearch simpleNames() {
        if (simpleNames == null) {
            simpleNames = new NameSearch(new TreeSet<>(bySimpleName().all()));
        }
        return simpleNames;
    }

    private SimpleNames bySimpleName() {
        SimpleNames names = bySimpleName;
        if (names == null) {
            names = SimpleNames.of(code.names());
            bySimpleName = names;
        }
        return names;
    }

    private static String simpleName(String binaryName) {
        return SimpleNames.of(binaryName);
    }
}
