package dev.patientharbor.tracing;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.survey.CodeLocation;
import dev.patientharbor.tracing.TracedValue.Unknown;
import dev.patientharbor.types.ValueTypes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/**
 * One way through a method that wires by hand: what it makes, and what it knows. For one thread.
 */
final class WiringRun {

    private static final int MOST_STEPS = 200_000;
    private static final int DEEPEST = 60;

    /** The way ends before the method does: something is thrown, or it takes too long. */
    static final class WayEnds extends RuntimeException {
        private static final long serialVersionUID = 1L;

        WayEnds() {
            super(null, null, false, false);
        }
    }

    private final CodeIndex code;
    private final ValueTypes values;
    private final BodyTrees trees;
    private final MethodName start;
    private final DecisionScript script;
    private final String nest;
    private final List<TracedObject> objects = new ArrayList<>();
    private final Set<TracedObject> roots = new LinkedHashSet<>();
    private final List<WiringTrace.Decision> decisions = new ArrayList<>();
    private final Set<Unknown> lost = new LinkedHashSet<>();
    private final Map<String, TracedValue> statics = new HashMap<>();
    private final Set<String> started = new HashSet<>();
    private final Map<TracedObject, TracedObject> behind = new HashMap<>();
    private int steps;
    private int depth;

    WiringRun(CodeIndex code, BodyTrees trees, MethodName start, DecisionScript script) {
        this.code = code;
        values = new ValueTypes(code);
        this.trees = trees;
        this.start = start;
        this.script = script;
        nest = NestBodies.outermost(start.owner());
    }

    WiringTrace run() {
        boolean isWhole = true;
        try {
            BodyTrees.Body body = trees.body(start).orElseThrow();
            Optional<TracedObject> self =
                    isStatic(body) ? Optional.empty() : Optional.of(self(start.owner(), 0));
            List<TracedValue> arguments = parameters(start);
            self.filter(object -> !start.isConstructor()).ifPresent(this::construct);
            TracedValue result = run(body, self, arguments);
            result.object().filter(made -> !made.isHelper()).ifPresent(roots::add);
        } catch (WayEnds end) {
            isWhole = false;
        }
        return new WiringTrace(objects, List.copyOf(roots), decisions, List.copyOf(lost), isWhole);
    }

    private static boolean isStatic(BodyTrees.Body body) {
        return (body.method().access & Opcodes.ACC_STATIC) != 0;
    }

    /** The object whose method is followed: it is there before, and only helps. */
    private TracedObject self(String type, int line) {
        TracedObject self = new TracedObject(-1, type, at(new MethodName(type, "", "()V"), line));
        self.help();
        return self;
    }

    private List<TracedValue> parameters(MethodName method) {
        List<TracedValue> arguments = new ArrayList<>();
        int local = trees.body(method).filter(WiringRun::isStatic).isPresent() ? 0 : 1;
        int number = 1;
        for (Type type : Type.getArgumentTypes(method.descriptor())) {
            String name = variable(method, local).orElse("parameter " + number);
            arguments.add(new Unknown(name, 0, Optional.empty()));
            local += type.getSize();
            number++;
        }
        return arguments;
    }

    private Optional<String> variable(MethodName method, int local) {
        return trees.body(method).map(body -> body.method().localVariables).stream()
                .flatMap(List::stream)
                .filter(variable -> variable.index == local)
                .map(variable -> variable.name)
                .findFirst();
    }

    /** Runs the constructor of the object whose method is followed. */
    private void construct(TracedObject self) {
        self.startRun();
        code.find(self.type()).map(ClassFacts::constructors).orElse(List.of()).stream()
                .map(made -> new MethodName(self.type(), "<init>", made.descriptor()))
                .findFirst()
                .ifPresent(
                        constructor ->
                                trees.body(constructor)
                                        .ifPresent(
                                                body ->
                                                        run(
                                                                body,
                                                                Optional.of(self),
                                                                parameters(constructor))));
    }

    BodyTrees trees() {
        return trees;
    }

    ValueTypes values() {
        return values;
    }

    CodeIndex code() {
        return code;
    }

    /** Returns whether a class belongs to the one that wires. */
    boolean isOurs(String type) {
        return NestBodies.outermost(type).equals(nest);
    }

    void step() {
        if (++steps > MOST_STEPS) {
            throw new WayEnds();
        }
    }

    /** Returns the way to take where it is not known. */
    int choose(int ways) {
        return script.choose(ways);
    }

    void decided(Optional<TracedValue.Comparison> comparison, boolean holds, int line) {
        decisions.add(new WiringTrace.Decision(comparison, holds, line));
    }

    void lose(String what, int line) {
        lost.add(new Unknown(what, line, Optional.empty()));
    }

    int made() {
        return objects.size();
    }

    TracedObject make(String type, MethodName in, int line) {
        TracedObject made = new TracedObject(objects.size(), type, at(in, line));
        objects.add(made);
        if (isOurs(in.owner())) {
            roots.add(made);
        }
        return made;
    }

    /** An object that another one makes for the class that wires. */
    void addRoot(TracedObject made) {
        roots.add(made);
    }

    private CodeLocation at(MethodName in, int line) {
        return new CodeLocation(
                in.owner(),
                in.inSource(),
                trees.find(in.owner()).map(tree -> tree.sourceFile),
                line);
    }

    /** Runs a body; what it returns is {@code null} if it returns nothing. */
    TracedValue run(BodyTrees.Body body, Optional<TracedObject> self, List<TracedValue> arguments) {
        if (depth >= DEEPEST) {
            return new Unknown("a call within too many others", 0, Optional.empty());
        }
        depth++;
        try {
            return new MethodRun(this, body, self, arguments).run();
        } finally {
            depth--;
        }
    }

    /** Runs the constructor of an object that was made before, so that its fields are known. */
    void constructNow(TracedObject object) {
        if (!object.startRun()) {
            return;
        }
        object.maker()
                .filter(maker -> maker.method().isEmpty())
                .ifPresent(
                        maker ->
                                trees.body(
                                                new MethodName(
                                                        maker.owner(),
                                                        "<init>",
                                                        maker.descriptor()))
                                        .ifPresent(
                                                body ->
                                                        run(
                                                                body,
                                                                Optional.of(object),
                                                                maker.arguments())));
    }

    /** Returns the object that a factory of the code makes, as far as its body tells. */
    Optional<TracedObject> behindFactory(TracedObject made) {
        Optional<TracedObject.Maker> maker = made.maker().filter(each -> each.method().isPresent());
        if (maker.isEmpty()) {
            return Optional.empty();
        }
        if (made.startRun()) {
            MethodName factory =
                    new MethodName(
                            maker.get().owner(),
                            maker.get().method().get(),
                            maker.get().descriptor());
            trees.body(factory)
                    .filter(WiringRun::isStatic)
                    .map(body -> run(body, Optional.empty(), maker.get().arguments()))
                    .flatMap(TracedValue::object)
                    .filter(inside -> inside.maker().filter(m -> m.method().isEmpty()).isPresent())
                    .ifPresent(inside -> behind.put(made, inside));
        }
        return Optional.ofNullable(behind.get(made));
    }

    /** Returns what a static field holds after its class was initialized. */
    TracedValue staticField(String owner, String name, Type type, int line) {
        if (code.find(owner).filter(ClassFacts::isEnum).isPresent()
                && type.getClassName().equals(owner)) {
            return new TracedValue.Constant(new TracedValue.EnumConstant(owner, name));
        }
        if (started.add(owner)) {
            trees.body(new MethodName(owner, "<clinit>", "()V"))
                    .ifPresent(body -> run(body, Optional.empty(), List.of()));
        }
        TracedValue held = statics.get(owner + '#' + name);
        if (held == null) {
            held = constantField(owner, name).orElse(null);
        }
        return held == null
                ? new Unknown(
                        "the field " + MethodRun.shortName(owner) + '.' + name,
                        line,
                        Optional.empty())
                : held;
    }

    private Optional<TracedValue> constantField(String owner, String name) {
        return trees.find(owner).stream()
                .flatMap(tree -> tree.fields.stream())
                .filter(field -> field.name.equals(name))
                .findFirst()
                .map(
                        field ->
                                field.value != null
                                        ? new TracedValue.Constant(field.value)
                                        : MethodRun.initial(Type.getType(field.desc)));
    }

    void putStatic(String owner, String name, TracedValue value) {
        statics.put(owner + '#' + name, value);
    }
}
