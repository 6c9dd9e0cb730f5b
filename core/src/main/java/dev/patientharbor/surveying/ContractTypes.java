package dev.patientharbor.surveying;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Tells which types are contracts that a profile could fill in another way, and which classes stand
 * behind them. For one thread.
 */
final class ContractTypes {

    private static final String OBJECT = "java.lang.Object";
    private static final int ANNOTATION = 0x2000;
    private static final String EQUALS = "equals(Ljava/lang/Object;)Z";
    private static final Pattern GETTER = Pattern.compile("(get|is|has)\\p{Lu}\\w*\\(\\).*");

    private final CodeIndex code;
    private final Set<String> asked;
    private final boolean asksForJdk;
    private final Map<String, Boolean> contracts = new HashMap<>();
    private final Map<String, Set<String>> lineages = new HashMap<>();

    /**
     * @param asked the types that consumers ask for, or a profile fills: contracts whatever they
     *     are
     */
    ContractTypes(CodeIndex code, Set<String> asked) {
        this.code = code;
        this.asked = asked;
        asksForJdk = asked.stream().anyMatch(name -> !code.inCode(name));
    }

    /**
     * Returns whether a type is a contract: one that is asked for, or a public interface or
     * abstract class of the code that has methods to implement. Sealed types, annotations and
     * exceptions are none, nor what has nothing but getters: that is data.
     */
    boolean isContract(String type) {
        return contracts.computeIfAbsent(
                type, name -> asked.contains(name) || code.inCode(name) && isOpen(name));
    }

    private boolean isOpen(String name) {
        Optional<ClassFacts> found = code.find(name);
        return found.filter(
                                facts ->
                                        (facts.isInterface() || facts.isAbstract())
                                                && (facts.access() & ANNOTATION) == 0
                                                && !facts.isSealed()
                                                && !facts.isEnum()
                                                && Modifier.isPublic(facts.access())
                                                && isNamed(facts))
                        .isPresent()
                && !isThrown(name)
                && lineage(name).stream()
                        .map(code::find)
                        .flatMap(Optional::stream)
                        .flatMap(facts -> facts.openMethods().stream())
                        .anyMatch(method -> !GETTER.matcher(method).matches());
    }

    private static boolean isNamed(ClassFacts facts) {
        return !facts.isPrivate() && !facts.isInMethod();
    }

    private boolean isThrown(String name) {
        return lineage(name).contains("java.lang.Throwable");
    }

    /**
     * Returns the contracts that objects of a type are of: the nearest ones, none of which extends
     * another. None for data: enums, records, exceptions, and what has an equals method of its own;
     * and for classes that no other class can name.
     */
    List<String> contractsOf(String type) {
        if (!code.inCode(type) && !asksForJdk) {
            return List.of();
        }
        Optional<ClassFacts> facts = code.find(type);
        if (facts.isEmpty() || !isNamed(facts.get()) || isData(facts.get()) || isThrown(type)) {
            return List.of();
        }
        List<String> found = new ArrayList<>();
        for (String name : lineage(type)) {
            if (isContract(name)
                    && found.stream().noneMatch(nearer -> lineage(nearer).contains(name))) {
                found.add(name);
            }
        }
        return found;
    }

    /** What is equal to another by what it holds is data, as enums and records are. */
    static boolean isData(ClassFacts facts) {
        return facts.isEnum() || facts.isRecord() || facts.closedMethods().has(EQUALS);
    }

    /** Returns whether an object of a contract is used as one when a method is called on it. */
    boolean hasMethod(String contract, MethodName called) {
        if (called.name().equals("close") && called.descriptor().equals("()V")) {
            // Whoever makes a thing closes it: that alone is no use of it.
            return false;
        }
        String key = called.name() + called.descriptor();
        String named = called.name() + '(';
        return lineage(contract).stream()
                .filter(name -> !name.equals(OBJECT))
                .map(code::find)
                .flatMap(Optional::stream)
                .anyMatch(
                        facts ->
                                facts.closedMethods().has(key)
                                        || facts.openMethods().stream()
                                                .anyMatch(open -> open.startsWith(named)));
    }

    /** Returns a type and all its supertypes as far as they are known, nearest first. */
    Set<String> lineage(String type) {
        return lineages.computeIfAbsent(type, code::lineage);
    }
}
