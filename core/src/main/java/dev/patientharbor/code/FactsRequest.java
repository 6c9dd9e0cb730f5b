package dev.patientharbor.code;

import java.util.Set;

/** What is read of a class file beyond its marked declarations. Immutable. */
public final class FactsRequest {

    /** Asks for nothing beyond marked declarations. */
    public static final FactsRequest NOTHING = of(false, Set.of());

    private final NameSet methodsOf;
    private final NameSet lookups;
    private final Set<String> constants;
    private final boolean contracts;
    private final NameSet calls;
    private final NameSet standIns;

    /**
     * @param methodsOf the classes of which every method is read, those that a file names as
     *     factories or handlers, by short or full name
     * @param lookups the methods whose calls are looked for in bodies, as {@code CLASS#METHOD} with
     *     a short or full class name; bodies are read only if there are any
     * @param constants the methods without parameters, by name, whose constant answer is read
     * @param contracts whether every method of interfaces and abstract classes is read, for answers
     *     that are given for them
     * @param calls the contracts of which it is read who calls which method, by short or full name
     * @param standIns the classes of which it is read which methods only throw, by short or full
     *     name
     */
    public FactsRequest(
            Set<String> methodsOf,
            Set<String> lookups,
            Set<String> constants,
            boolean contracts,
            Set<String> calls,
            Set<String> standIns) {
        this(
                new NameSet(methodsOf),
                new NameSet(lookups),
                Set.copyOf(constants),
                contracts,
                new NameSet(calls),
                new NameSet(standIns));
    }

    private FactsRequest(
            NameSet methodsOf,
            NameSet lookups,
            Set<String> constants,
            boolean contracts,
            NameSet calls,
            NameSet standIns) {
        this.methodsOf = methodsOf;
        this.lookups = lookups;
        this.constants = constants;
        this.contracts = contracts;
        this.calls = calls;
        this.standIns = standIns;
    }

    /** Asks for the methods of contracts, or the calls of some lookup methods, and nothing more. */
    static FactsRequest of(boolean contracts, Set<String> lookups) {
        return new FactsRequest(Set.of(), lookups, Set.of(), contracts, Set.of(), Set.of());
    }

    /**
     * Whether what is read for this answers another one as well, but for calls that stand-ins may
     * not answer.
     */
    public boolean covers(FactsRequest other) {
        return methodsOf.covers(other.methodsOf)
                && lookups.covers(other.lookups)
                && constants.containsAll(other.constants)
                && (contracts || !other.contracts);
    }

    /** Returns the part of this request that concerns the JDK's own classes. */
    FactsRequest ofJdk() {
        NameSet none = new NameSet(Set.of());
        return new FactsRequest(methodsOf, none, Set.of(), contracts, none, none);
    }

    boolean wantsMethodsOf(String binaryName, boolean isAbstract) {
        return contracts && isAbstract || methodsOf.fits(binaryName);
    }

    boolean wantsBodies() {
        return !lookups.isEmpty();
    }

    boolean wantsCalls() {
        return !calls.isEmpty();
    }

    boolean isCalled(String binaryName) {
        return calls.fits(binaryName);
    }

    boolean isStandIn(String binaryName) {
        return standIns.fits(binaryName);
    }

    boolean isLookup(String binaryName, String method) {
        return lookups.fits(binaryName + '#' + method);
    }

    boolean isConstant(String method, String descriptor) {
        return constants.contains(method) && descriptor.startsWith("()");
    }
}
