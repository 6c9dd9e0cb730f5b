package dev.patientharbor.types;

import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ArrayType;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.terms.TypeRef.Primitive;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * Tells the types whose values a person writes down from those whose objects are supplied. The one
 * place that says which records and enums are data. For one thread.
 */
public final class ValueTypes {

    private static final Set<String> SIMPLE =
            Set.of(
                    "java.lang.String",
                    "java.lang.CharSequence",
                    "java.lang.Boolean",
                    "java.lang.Character",
                    "java.lang.Byte",
                    "java.lang.Short",
                    "java.lang.Integer",
                    "java.lang.Long",
                    "java.lang.Float",
                    "java.lang.Double",
                    "java.math.BigDecimal",
                    "java.time.Duration",
                    "java.time.Instant",
                    "java.time.LocalDate",
                    "java.nio.file.Path",
                    "java.net.URI");
    private static final Set<String> COLLECTIONS =
            Set.of(
                    "java.util.List",
                    "java.util.Set",
                    "java.util.Collection",
                    "java.lang.Iterable",
                    "java.util.Map");

    /** What data of the JDK is made of, beside what a profile file can say. */
    private static final Pattern DATA_OF_JDK =
            Pattern.compile(
                    "java\\.(time\\.(?!Clock$|InstantSource$).+|math\\..+|lang\\.(Object|Number)"
                        + "|util\\.(UUID|Locale|Currency|Date|BitSet|Optional|regex\\.Pattern"
                        + "|Optional(Int|Long|Double)|SortedMap|SortedSet)"
                        + "|net\\.(URL|InetAddress|InetSocketAddress)|nio\\.charset\\.Charset)");

    private static final String EQUALS = "equals(Ljava/lang/Object;)Z";
    private static final Pattern GETTER = Pattern.compile("(get|is|has)\\p{Lu}\\w*\\(\\).*");

    private final CodeIndex code;
    private final Map<String, Boolean> data = new HashMap<>();

    public ValueTypes(CodeIndex code) {
        this.code = code;
    }

    /**
     * Returns whether a person writes down values of a type: texts, numbers, times; enums; records
     * that are data and stand behind no contract; arrays and collections of these.
     */
    public boolean isValue(TypeRef type) {
        if (type instanceof Primitive) {
            return true;
        }
        if (type instanceof ArrayType array) {
            return isValue(array.element());
        }
        if (!(type instanceof ClassType named)) {
            return false;
        }
        if (COLLECTIONS.contains(named.name())) {
            return !named.arguments().isEmpty()
                    && named.arguments().stream().allMatch(this::isValue);
        }
        return SIMPLE.contains(named.name())
                || code.find(named.name()).filter(this::isWritten).isPresent();
    }

    private boolean isWritten(ClassFacts facts) {
        return facts.isEnum() || facts.isRecord() && isData(facts) && isAlone(facts);
    }

    /** Returns the names of the constants of an enum, in order; empty for any other type. */
    public Optional<List<String>> constants(TypeRef type) {
        return type instanceof ClassType named && !SIMPLE.contains(named.name())
                ? code.find(named.name()).filter(ClassFacts::isEnum).map(ClassFacts::enumConstants)
                : Optional.empty();
    }

    /**
     * Returns whether objects of a class are data as far as it says itself: those of an enum, of a
     * record that has components, and of a class that is equal to another by what it holds, if all
     * that makes them is data. What stands behind a contract for which somebody asks is none, which
     * only the asker knows.
     */
    public boolean isData(ClassFacts facts) {
        Boolean known = data.get(facts.name());
        if (known == null) {
            known = isData(facts, new HashSet<>());
            data.put(facts.name(), known);
        }
        return known;
    }

    /** What is within itself, as in a list that is linked, is no more than its other parts. */
    private boolean isData(ClassFacts facts, Set<String> around) {
        if (facts.isEnum() || !around.add(facts.name())) {
            return true;
        }
        List<ExecutableFacts> made = facts.constructors();
        if (facts.isRecord()) {
            return !made.isEmpty()
                    && !made.get(0).parameterTypes().isEmpty()
                    && areData(made.get(0), around);
        }
        return facts.isSealed()
                ? isAllBelow(facts, each -> isData(each, around))
                : facts.closedMethods().has(EQUALS)
                        && made.stream().allMatch(each -> areData(each, around));
    }

    private boolean areData(ExecutableFacts made, Set<String> around) {
        return made.parameterTypes().stream().allMatch(part -> isData(part, around));
    }

    /** Whether all that a sealed type permits is so; what cannot be read is not. */
    private boolean isAllBelow(ClassFacts sealed, Predicate<ClassFacts> wanted) {
        return sealed.permitted().stream()
                .allMatch(name -> code.find(name).filter(wanted).isPresent());
    }

    /**
     * Whether a part is data: it also does nothing for whoever holds it, for what does something
     * may be asked for to be swapped.
     */
    private boolean isPartData(ClassFacts part, Set<String> around) {
        if (part.isSealed()) {
            return !around.add(part.name()) || isAllBelow(part, each -> isPartData(each, around));
        }
        return isData(part, around) && onlyTells(part);
    }

    private boolean isData(TypeRef part, Set<String> around) {
        if (part instanceof ArrayType array) {
            return isData(array.element(), around);
        }
        if (!(part instanceof ClassType named)) {
            // What a type parameter stands for is told by its arguments, where there are some.
            return true;
        }
        boolean isData =
                SIMPLE.contains(named.name())
                        || COLLECTIONS.contains(named.name()) && !named.arguments().isEmpty()
                        || DATA_OF_JDK.matcher(named.name()).matches()
                        || code.inCode(named.name())
                                && code.find(named.name())
                                        .filter(facts -> isPartData(facts, around))
                                        .isPresent();
        return isData && named.arguments().stream().allMatch(each -> isData(each, around));
    }

    /** Whether a record implements no interface of the code that has a method to implement. */
    private boolean isAlone(ClassFacts record) {
        for (String name : code.lineage(record.name())) {
            Optional<ClassFacts> above = code.inCode(name) ? code.find(name) : Optional.empty();
            if (above.filter(each -> !each.openMethods().isEmpty()).isPresent()) {
                return false;
            }
        }
        return true;
    }

    /** Whether a class implements nothing but methods that tell its components, or get a part. */
    private boolean onlyTells(ClassFacts facts) {
        List<String> components =
                facts.isRecord() ? facts.constructors().get(0).parameterNames() : List.of();
        for (String name : code.lineage(facts.name())) {
            Optional<ClassFacts> above = code.inCode(name) ? code.find(name) : Optional.empty();
            for (String method : above.map(ClassFacts::openMethods).orElse(Set.of())) {
                int end = method.indexOf("()");
                boolean tells = end > 0 && components.contains(method.substring(0, end));
                if (!tells && !isGetter(method)) {
                    return false;
                }
            }
        }
        return true;
    }

    /** Returns whether a method, by name and erased types, tells a part of what an object holds. */
    public static boolean isGetter(String method) {
        return GETTER.matcher(method).matches();
    }
}
