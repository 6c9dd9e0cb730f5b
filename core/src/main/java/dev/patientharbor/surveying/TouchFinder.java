package dev.patientharbor.surveying;

import dev.patientharbor.bodies.ClassBodies;
import dev.patientharbor.bodies.MemberUse;
import dev.patientharbor.bodies.MethodBody;
import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.bodies.ObjectOrigin;
import dev.patientharbor.bodies.ObjectUse;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.survey.CodeLocation;
import dev.patientharbor.survey.Touch;
import dev.patientharbor.survey.TouchKind;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Finds what classes reach outside: follows the calls of their methods through the code, by the
 * class that each call names, to what the table knows. A call of a contract ends there, for what
 * stands behind it is a profile's to say, unless the class makes such an object by itself; so does
 * a call of an object that the class asks for. For one thread.
 */
public final class TouchFinder {

    private final CodeIndex code;
    private final TouchTable table;
    private final BodyIndex bodies;
    private final NestReader nests;
    private final CallsOfNeeds needs;
    private final ContractTypes types;
    private HardWiredFinder hardWired;
    private final Map<String, Set<String>> made = new HashMap<>();
    private final Map<String, List<String>> hardWiredIn = new HashMap<>();

    /** Who calls a method, in the order in which they were met. */
    private final Map<MethodName, Set<MethodName>> callers = new HashMap<>();

    private final Map<TouchKind, Map<MethodName, MemberUse>> touching =
            new EnumMap<>(TouchKind.class);
    private final Set<MethodName> met = new LinkedHashSet<>();

    public TouchFinder(CodeIndex code, TouchTable table) {
        this(code, table, new BodyIndex(code));
    }

    TouchFinder(CodeIndex code, TouchTable table, BodyIndex bodies) {
        this.code = code;
        this.table = table;
        this.bodies = bodies;
        nests = new NestReader(code);
        needs = new CallsOfNeeds(code, nests);
        types = new ContractTypes(code, Set.of());
    }

    /**
     * Returns what each of some classes reaches, the shortest way for each kind; by the name that
     * was given, without those that reach nothing.
     *
     * @param classNames classes, or methods of classes as {@code CLASS#METHOD}
     */
    public Map<String, List<Touch>> of(Collection<String> classNames) {
        Map<String, List<Touch>> found = new TreeMap<>();
        ofMakers(
                        classNames.stream()
                                .map(name -> ObjectMaker.ofClass(name, code.find(name)))
                                .toList())
                .forEach((maker, touches) -> found.put(maker.name(), touches));
        return found;
    }

    /** Returns the same of what makes objects, and of the objects of the JDK that come of it. */
    public Map<ObjectMaker, List<Touch>> ofMakers(Collection<ObjectMaker> makers) {
        Map<String, Set<MethodName>> starts = new TreeMap<>();
        for (ObjectMaker maker : makers) {
            starts.computeIfAbsent(maker.name(), this::starts);
        }
        hardWired =
                new HardWiredFinder(
                        code, asked(starts.keySet()), Set.of(), name -> Optional.empty());
        starts.values().forEach(this::meet);
        Map<TouchKind, Ways> ways = new EnumMap<>(TouchKind.class);
        touching.forEach((kind, ends) -> ways.put(kind, new Ways(kind, ends)));
        Map<ObjectMaker, List<Touch>> found = new HashMap<>();
        for (ObjectMaker maker : makers) {
            Map<TouchKind, Touch> touches = new EnumMap<>(TouchKind.class);
            byItself(maker).forEach(touch -> touches.putIfAbsent(touch.kind(), touch));
            ways.forEach(
                    (kind, way) ->
                            way.from(starts.get(maker.name()))
                                    .ifPresent(touch -> touches.putIfAbsent(kind, touch)));
            if (!touches.isEmpty()) {
                found.put(maker, List.copyOf(touches.values()));
            }
        }
        return found;
    }

    /** What is reached by calling a maker, or by whatever is done with the object. */
    private List<Touch> byItself(ObjectMaker maker) {
        List<MethodName> members = new ArrayList<>(maker.members());
        maker.yields().ifPresent(type -> members.addAll(membersOfJdk(type)));
        List<Touch> touches = new ArrayList<>();
        for (MethodName member : members) {
            table.kind(member)
                    .map(
                            kind ->
                                    new Touch(
                                            kind,
                                            List.of(text(member)),
                                            new CodeLocation(
                                                    maker.className(),
                                                    member.inSource(),
                                                    Optional.empty(),
                                                    0)))
                    .ifPresent(touches::add);
        }
        return touches;
    }

    /** The types of the code that some classes ask for: whatever they are, these are contracts. */
    private Set<String> asked(Set<String> names) {
        Set<String> asked = new HashSet<>();
        names.forEach(name -> asked.addAll(bodies.needs(name)));
        asked.removeIf(name -> !code.inCode(name));
        return asked;
    }

    /** The methods of a class; of one that is given as {@code CLASS#METHOD} that one alone. */
    private Set<MethodName> starts(String name) {
        int end = name.indexOf('#');
        List<MethodName> all = bodies.methodsOf(end < 0 ? name : name.substring(0, end));
        Set<MethodName> starts = new LinkedHashSet<>(all);
        starts.removeIf(method -> end >= 0 && !method.name().equals(name.substring(end + 1)));
        return starts;
    }

    /** Follows the calls of methods to all that can be reached. */
    private void meet(Set<MethodName> starts) {
        Deque<MethodName> open = new ArrayDeque<>();
        starts.stream().filter(met::add).forEach(open::add);
        while (!open.isEmpty()) {
            MethodName from = open.poll();
            MethodBody body = bodies.body(from).orElseThrow();
            if (from.isConstructor()) {
                handsUp(from)
                        .forEach(
                                call ->
                                        table.kind(call.method())
                                                .ifPresent(kind -> touch(kind, from, call)));
            }
            for (MemberUse call : body.calls()) {
                Optional<TouchKind> kind = table.kind(call.method());
                if (kind.isPresent()) {
                    if (!needs.isOfNeed(from, call)) {
                        touch(kind.get(), from, call);
                    }
                } else if (code.inCode(call.method().owner())) {
                    for (MethodName next : next(from, call)) {
                        callers.computeIfAbsent(next, key -> new LinkedHashSet<>()).add(from);
                        if (met.add(next)) {
                            open.add(next);
                        }
                    }
                    if (bodies.isNative(call.method())) {
                        touch(TouchKind.NATIVE_CODE, from, call);
                    }
                }
            }
        }
    }

    private void touch(TouchKind kind, MethodName from, MemberUse call) {
        touching.computeIfAbsent(kind, key -> new LinkedHashMap<>()).putIfAbsent(from, call);
    }

    /**
     * What is done with objects of the JDK that a constructor makes or fetches, and hands to its
     * superclass: there they look like what somebody asks for.
     */
    private List<MemberUse> handsUp(MethodName constructor) {
        List<MemberUse> found = new ArrayList<>();
        Optional<ClassFacts> facts = code.find(constructor.owner());
        boolean mayBe =
                facts.isPresent()
                        && facts.get().bodies().obtained().stream()
                                .anyMatch(type -> !membersOfJdk(type).isEmpty());
        Optional<NestBodies> nest =
                mayBe ? nests.read(NestBodies.outermost(constructor.owner())) : Optional.empty();
        for (ClassBodies each : nest.map(NestBodies::classes).orElse(List.of())) {
            for (ObjectOrigin.Obtained obtained : nest.get().obtained(each)) {
                if (obtained.in().equals(constructor)
                        && nest.get().uses(obtained).stream()
                                .anyMatch(ObjectUse::isHandedToSuper)) {
                    membersOfJdk(obtained.source().type())
                            .forEach(
                                    member ->
                                            found.add(
                                                    new MemberUse(
                                                            member, false, true, obtained.line())));
                }
            }
        }
        return found;
    }

    private List<MethodName> membersOfJdk(String type) {
        return code.inCode(type) ? List.of() : table.membersOf(type, () -> code.find(type));
    }

    /**
     * What runs by a call: of a contract's method that of the objects that the class makes itself.
     */
    private List<MethodName> next(MethodName from, MemberUse call) {
        boolean isNeed = isNeed(from, call);
        List<MethodName> found = isNeed ? List.of() : bodies.run(call);
        if (!found.isEmpty() || !call.isVirtual()) {
            return found;
        }
        String nest = NestBodies.outermost(from.owner());
        List<MethodName> own = new ArrayList<>();
        // Of a contract that the class asks for as well, only what surely is its own object counts.
        for (String made : isNeed ? hardWired(nest) : made(nest)) {
            if (types.lineage(made).contains(call.method().owner())) {
                MethodName method =
                        new MethodName(made, call.method().name(), call.method().descriptor());
                own.addAll(bodies.run(new MemberUse(method, false, true, call.line())));
            }
        }
        return own;
    }

    /** The classes of the code whose objects the classes of a nest make or fetch by themselves. */
    private Set<String> made(String outermost) {
        return made.computeIfAbsent(
                outermost,
                name -> {
                    Set<String> types = new LinkedHashSet<>(bodies.made(nests.members(name)));
                    types.addAll(hardWired(name));
                    return types;
                });
    }

    private List<String> hardWired(String outermost) {
        return hardWiredIn.computeIfAbsent(
                outermost,
                name ->
                        hardWired.in(name).stream()
                                .flatMap(each -> each.implementation().stream())
                                .distinct()
                                .toList());
    }

    /** Whether a method calls an object that its class asks for. */
    private boolean isNeed(MethodName from, MemberUse call) {
        return call.isVirtual() && bodies.needs(from.owner()).contains(call.method().owner());
    }

    /** The shortest ways to one kind of thing, from wherever there is one. */
    private final class Ways {
        private final TouchKind kind;
        private final Map<MethodName, MemberUse> ends;
        private final Map<MethodName, MethodName> next = new HashMap<>();
        private final Map<MethodName, Integer> length = new HashMap<>();

        Ways(TouchKind kind, Map<MethodName, MemberUse> ends) {
            this.kind = kind;
            this.ends = ends;
            Deque<MethodName> open = new ArrayDeque<>();
            for (MethodName method : met) {
                if (ends.containsKey(method)) {
                    length.put(method, 1);
                    open.add(method);
                }
            }
            while (!open.isEmpty()) {
                MethodName to = open.poll();
                for (MethodName from : callers.getOrDefault(to, Set.of())) {
                    if (length.putIfAbsent(from, length.get(to) + 1) == null) {
                        next.put(from, to);
                        open.add(from);
                    }
                }
            }
        }

        Optional<Touch> from(Set<MethodName> starts) {
            return starts.stream()
                    .filter(length::containsKey)
                    .min(Comparator.comparing(length::get))
                    .map(this::touch);
        }

        private Touch touch(MethodName start) {
            List<String> way = new ArrayList<>();
            MethodName last = start;
            for (MethodName method = start; method != null; method = next.get(method)) {
                String text = text(method);
                if (way.isEmpty() || !way.get(way.size() - 1).equals(text)) {
                    way.add(text);
                }
                last = method;
            }
            MemberUse end = ends.get(last);
            way.add(text(end.method()));
            return new Touch(
                    kind,
                    way,
                    new CodeLocation(
                            last.owner(),
                            last.inSource(),
                            bodies.source(last.owner()),
                            end.line()));
        }
    }

    private static String text(MethodName method) {
        return method.owner()
                + '.'
                + (method.isConstructor()
                        ? "new"
                        : method.isLambda() ? method.inSource() : method.name());
    }
}
