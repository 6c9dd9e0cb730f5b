package dev.patientharbor.surveying;

import dev.patientharbor.bodies.ClassBodies;
import dev.patientharbor.bodies.MemberUse;
import dev.patientharbor.bodies.MethodBody;
import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.bodies.ObjectOrigin;
import dev.patientharbor.bodies.ObjectSource;
import dev.patientharbor.bodies.ObjectUse;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.survey.CodeLocation;
import dev.patientharbor.survey.HardWiring;
import dev.patientharbor.survey.ObtainedBy;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Finds where consumers make or fetch implementations of contracts for themselves.
 *
 * <p>An object is hard-wired where its maker also uses it: calls a method of the contract on it,
 * wherever in the class it went in between, or hands it to its superclass. Who only hands an object
 * on, to constructors, factories or its caller, wires by hand. So does a {@code main}, and a method
 * that a profile names as a factory. For one thread.
 */
public final class HardWiredFinder {

    private final CodeIndex code;
    private final NestReader nests;
    private final ContractTypes types;
    private final ImplementationFinder implementations;
    private final Set<String> factories;
    private final Function<String, Optional<Set<List<String>>>> constructors;

    /**
     * @param asked the types that consumers ask for, or a profile fills, by binary name
     * @param factories the methods that make what a profile names, as {@code CLASS#METHOD}
     * @param constructors gives for a class the erased parameter types of the constructors that are
     *     used; of a class without a word all are
     */
    public HardWiredFinder(
            CodeIndex code,
            Set<String> asked,
            Set<String> factories,
            Function<String, Optional<Set<List<String>>>> constructors) {
        this.constructors = constructors;
        this.code = code;
        this.factories = Set.copyOf(factories);
        nests = new NestReader(code);
        types = new ContractTypes(code, asked);
        implementations = new ImplementationFinder(code, nests, types);
    }

    /**
     * Returns what is hard-wired in a class and in all classes within it, in order of place. Bodies
     * are read only if the constant pool names something that could be.
     */
    public List<HardWiring> in(String className) {
        String outermost = NestBodies.outermost(className);
        return mayBe(outermost) ? nests.read(outermost).map(this::in).orElse(List.of()) : List.of();
    }

    /** Returns whether a nest may make or fetch an object of a contract; reads no body. */
    boolean mayBe(String outermost) {
        for (String member : nests.members(outermost)) {
            Optional<ClassFacts> facts = code.find(member);
            if (facts.isPresent() && obtainsContract(facts.get(), outermost)) {
                return true;
            }
        }
        return false;
    }

    private boolean obtainsContract(ClassFacts facts, String outermost) {
        for (String type : facts.bodies().obtained()) {
            if (mayBeContract(type, NestBodies.outermost(type).equals(outermost))) {
                return true;
            }
        }
        return false;
    }

    /** Not a binary name: it stands for whatever is looked up. */
    private boolean mayBeContract(String type, boolean isOwn) {
        return type.indexOf('/') > 0
                || types.isContract(type)
                || !(isOwn ? types.contractsOfOwn(type) : types.contractsOf(type)).isEmpty();
    }

    /** Returns what is hard-wired in the classes of a nest, in order of place. */
    List<HardWiring> in(NestBodies nest) {
        List<HardWiring> found = new ArrayList<>();
        for (ClassBodies bodies : nest.classes()) {
            Set<MethodName> unused = unusedConstructors(bodies);
            for (ObjectOrigin.Obtained obtained : nest.obtained(bodies)) {
                if (!wiresByHand(obtained.in()) && !unused.contains(obtained.in())) {
                    hardWired(obtained, bodies, nest).ifPresent(found::add);
                }
            }
        }
        found.sort(HardWiring.ORDER);
        return found.stream().distinct().toList();
    }

    /** The constructors that neither a profile uses nor one that it uses calls. */
    private Set<MethodName> unusedConstructors(ClassBodies bodies) {
        Optional<Set<List<String>>> used = constructors.apply(bodies.name());
        if (used.isEmpty()) {
            return Set.of();
        }
        Map<MethodName, MethodBody> left = new LinkedHashMap<>();
        List<MethodBody> open = new ArrayList<>();
        for (MethodBody body : bodies.methods()) {
            if (!body.name().isConstructor()) {
                continue;
            }
            if (used.get().contains(body.name().parameterTypes())) {
                open.add(body);
            } else {
                left.put(body.name(), body);
            }
        }
        for (int i = 0; i < open.size(); i++) {
            for (MemberUse call : open.get(i).calls()) {
                Optional.ofNullable(left.remove(call.method())).ifPresent(open::add);
            }
        }
        return left.keySet();
    }

    private boolean wiresByHand(MethodName method) {
        return method.name().equals("main") && method.descriptor().equals("([Ljava/lang/String;)V")
                || factories.contains(method.owner() + '#' + method.inSource());
    }

    private Optional<HardWiring> hardWired(
            ObjectOrigin.Obtained obtained, ClassBodies bodies, NestBodies nest) {
        List<String> contracts = contracts(obtained, nest);
        if (contracts.isEmpty()) {
            return Optional.empty();
        }
        Set<ObjectUse> uses = ownUses(obtained, nest);
        return contracts.stream()
                .filter(contract -> uses.stream().anyMatch(use -> isOwnUse(use, contract)))
                .findFirst()
                .map(contract -> hardWiring(obtained, bodies, contract));
    }

    /** What a method does with an object that it returns is setting it up: what follows counts. */
    private static Set<ObjectUse> ownUses(ObjectOrigin.Obtained obtained, NestBodies nest) {
        ObjectOrigin result = new ObjectOrigin.OfResult(obtained.in());
        Set<ObjectUse> direct = nest.usesAt(obtained);
        boolean isKept =
                direct.stream()
                        .flatMap(use -> use.next().stream())
                        .anyMatch(
                                next -> next.match(o -> false, f -> true, p -> false, r -> false));
        return direct.contains(new ObjectUse.GoesTo(result)) && !isKept
                ? nest.uses(result)
                : nest.uses(obtained);
    }

    private List<String> contracts(ObjectOrigin.Obtained obtained, NestBodies nest) {
        ObjectSource source = obtained.source();
        String type = source.type();
        String in = obtained.in().owner();
        if (source.isLambda() ? code.inCode(type) : isOneNest(type, in)) {
            return isConstant(obtained)
                    ? List.of()
                    : types.contractsOfOwn(type).stream()
                            .filter(contract -> !forwards(source, contract, nest))
                            .toList();
        }
        return !source.isMade() && types.isContract(type) ? List.of(type) : types.contractsOf(type);
    }

    private static boolean isOneNest(String type, String other) {
        return NestBodies.outermost(type).equals(NestBodies.outermost(other));
    }

    /** Whether an enum makes one of its constants: whoever reads the constant fetches it. */
    private boolean isConstant(ObjectOrigin.Obtained obtained) {
        String in = obtained.in().owner();
        return obtained.source().isMade()
                && types.lineage(obtained.source().type()).contains(in)
                && code.find(in).filter(ClassFacts::isEnum).isPresent();
    }

    /**
     * Whether an object of the class's own hands on to another one of the contract: a decorator of
     * what a profile gives, and no end.
     */
    private boolean forwards(ObjectSource source, String contract, NestBodies nest) {
        return nest.run(source).stream()
                .anyMatch(
                        called ->
                                (source.isLambda() || !called.owner().equals(source.type()))
                                        && types.lineage(called.owner()).contains(contract)
                                        && types.hasMethod(contract, called));
    }

    private boolean isOwnUse(ObjectUse use, String contract) {
        return use.isHandedToSuper()
                || use.called().filter(method -> types.hasMethod(contract, method)).isPresent();
    }

    private HardWiring hardWiring(
            ObjectOrigin.Obtained obtained, ClassBodies bodies, String contract) {
        CodeLocation at =
                new CodeLocation(
                        consumer(bodies.name()),
                        obtained.in().inSource(),
                        bodies.source(),
                        obtained.line());
        ObjectSource source = obtained.source();
        return new HardWiring(
                at.className(),
                at,
                by(source),
                text(source, contract),
                contract,
                implementations.of(source));
    }

    /** The nearest class around the code that has a name. */
    private String consumer(String name) {
        String named = name;
        while (named.indexOf('$') > 0
                && code.find(named).filter(ClassFacts::isInMethod).isPresent()) {
            named = named.substring(0, named.lastIndexOf('$'));
        }
        return named;
    }

    private static ObtainedBy by(ObjectSource source) {
        return source.match(
                made -> ObtainedBy.CONSTRUCTOR,
                method -> ObtainedBy.STATIC_METHOD,
                field -> ObtainedBy.STATIC_FIELD,
                service -> ObtainedBy.SERVICE,
                byName -> ObtainedBy.CLASS_NAME,
                lambda -> ObtainedBy.LAMBDA);
    }

    private String text(ObjectSource source, String contract) {
        return source.match(
                made ->
                        isUnnamed(made.type())
                                ? "new " + shortName(contract) + "() { … }"
                                : "new " + shortName(made.type()),
                call -> shortName(call.method().owner()) + '.' + call.method().name() + "()",
                field -> shortName(field.owner()) + '.' + field.field(),
                service -> "ServiceLoader.load(" + shortName(service.type()) + ".class)",
                byName -> "Class.forName(\"" + byName.type() + "\")",
                lambda ->
                        lambda.body().isLambda()
                                ? "a lambda"
                                : shortName(lambda.body().owner()) + "::" + lambda.body().name());
    }

    private boolean isUnnamed(String type) {
        return Character.isDigit(type.charAt(type.lastIndexOf('$') + 1))
                && code.find(type).filter(ClassFacts::isInMethod).isPresent();
    }

    private static String shortName(String type) {
        return type.substring(type.lastIndexOf('.') + 1).replace('$', '.');
    }
}
