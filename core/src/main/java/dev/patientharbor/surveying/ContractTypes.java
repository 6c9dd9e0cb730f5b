package dev.patientharbor.surveying;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.types.ValueTypes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Tells which types are contracts that a profile could fill in another way, and which classes stand
 * behind them. For one thread.
 */
final class ContractTypes {

    private static final String OBJECT = "java.lang.Object";
    private static final int ANNOTATION = 0x2000;
    private final CodeIndex code;
    private final Set<String> asked;
    private final boolean asksForJdk;
    private final ValueTypes values;
    private final Map<String, Boolean> contracts = new HashMap<>();
    private final Map<String, Set<String>> lineages = new HashMap<>();

    /**
     * @param asked the types that consumers ask for, or a profile fills: contracts whatever they
     *     are
     */
    ContractTypes(CodeIndex code, Set<String> asked) {
        this.code = code;
        this.asked = asked;
        values = new ValueTypes(code);
        asksForJdk = asked.stream().anyMatch(name -> !code.inCode(name));
    }

    /**
     * Returns whether a type is a contract: one that is asked for, or an interface or abstract
     * class of the code that others can implement, or that names a subclass which is no data.
     */
    boolean isContract(String type) {
        Boolean known = contracts.get(type);
        if (known == null) {
            known = asked.contains(type) || couldBeContract(type) && !isSealedData(type);
            contracts.put(type, known);
        }
        return known;
    }

    /**
     * Returns whether a type is a contract as soon as somebody asks for it: an interface or
     * abstract class of the code that has methods to implement and a name. Annotations and
     * exceptions are none, nor what has nothing but getters: that is data.
     */
    boolean couldBeContract(String name) {
        return code.inCode(name) && isOpen(name);
    }

    /** Whether a type names its subclasses, and all that can be made of them is data. */
    private boolean isSealedData(String type) {
        return code.find(type)
                .filter(facts -> facts.isSealed() && values.isData(facts))
                .isPresent();
    }

    private boolean isOpen(String name) {
        Optional<ClassFacts> found = code.find(name);
        return found.filter(
                                facts ->
                                        (facts.isInterface() || facts.isAbstract())
                                                && (facts.access() & ANNOTATION) == 0
                                                && !facts.isEnum()
                                                && isNamed(facts))
                        .isPresent()
                && !isThrown(name)
                && lineage(name).stream()
                        .map(code::find)
                        .flatMap(Optional::stream)
                        .flatMap(facts -> facts.openMethods().stream())
                        .anyMatch(method -> !ValueTypes.isGetter(method));
    }

    private static boolean isNamed(ClassFacts facts) {
        return !facts.isPrivate() && !facts.isInMethod();
    }

    private boolean isThrown(String name) {
        return lineage(name).contains("java.lang.Throwable");
    }

    /**
     * Returns the contracts that objects of a type are of: the nearest ones, none of which extends
     * another. Of data those alone for which somebody asks; none of exceptions, and of classes that
     * no other class can name.
     */
    List<String> contractsOf(String type) {
        return contractsOf(type, false);
    }

    /**
     * Returns the same of a class that stands within the one that makes its objects: those
     * contracts alone for which somebody asks, whether other classes can name it or not.
     */
    List<String> contractsOfOwn(String type) {
        return contractsOf(type, true);
    }

    private List<String> contractsOf(String type, boolean isOwn) {
        if (!code.inCode(type) && !asksForJdk) {
            return List.of();
        }
        Optional<ClassFacts> facts = code.find(type);
        if (facts.isEmpty() || !isOwn && !isNamed(facts.get()) || isThrown(type)) {
            return List.of();
        }
        boolean isData = values.isData(facts.get());
        List<String> found = new ArrayList<>();
        for (String name : lineage(type)) {
            boolean isAsked = asked.contains(name) && !(isData && name.equals(type));
            if ((isData || isOwn ? isAsked : isContract(name))
                    && found.stream().noneMatch(nearer -> lineage(nearer).contains(name))) {
                found.add(name);
            }
        }
        return found;
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
