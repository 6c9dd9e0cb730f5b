package dev.patientharbor.rules;

import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.declared.ResolvedBinding;
import dev.patientharbor.declared.ResolvedDecorator;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.needs.Blueprint;
import dev.patientharbor.needs.BuildFault;
import dev.patientharbor.needs.BuildFault.Reason;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.texts.NearNames;
import dev.patientharbor.wiring.Wiring;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Reports classes of which no object can be made, bound ones whether they are used or not. */
final class BuildRule implements CheckRule {

    /** The most constructors that are shown. */
    private static final int MOST = 10;

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        set.bindings()
                .forEach(
                        binding ->
                                faulty(binding.blueprint())
                                        .map(made -> ofBinding(context, binding, made))
                                        .ifPresent(finding -> reporter.report(binding, finding)));
        set.eachDecorator(
                (statement, decorator) ->
                        faulty(decorator.blueprint())
                                .map(made -> ofDecorator(context, decorator, made))
                                .ifPresent(
                                        finding -> reporter.report(statement, decorator, finding)));
        for (Wiring wiring : set.checked()) {
            for (int seat : wiring.unsound()) {
                if (wiring.outcome(seat).binding().isEmpty()) {
                    wiring.outcome(seat)
                            .blueprint()
                            .filter(blueprint -> blueprint.fault().isPresent())
                            .ifPresent(
                                    blueprint -> reportOwnSupply(context, wiring, seat, blueprint));
                }
            }
        }
    }

    private static Optional<Blueprint> faulty(Optional<Blueprint> made) {
        return made.filter(blueprint -> blueprint.fault().isPresent());
    }

    private static Finding ofBinding(RuleContext context, ResolvedBinding binding, Blueprint made) {
        Optional<String> slot =
                binding.slot()
                        .map(context.set().slots()::slot)
                        .map(context.wording()::toWrite)
                        .map(text -> text + ": ");
        return finding(
                context,
                made,
                binding.declared().at(),
                Optional.of(binding),
                slot,
                "in place of its binding");
    }

    private static Finding ofDecorator(
            RuleContext context, ResolvedDecorator decorator, Blueprint made) {
        return finding(
                context,
                made,
                decorator.name().written().at(),
                Optional.empty(),
                Optional.of(""),
                "in place of its name under decorators");
    }

    private static void reportOwnSupply(
            RuleContext context, Wiring wiring, int seat, Blueprint blueprint) {
        FindingReporter reporter = context.reporter();
        reporter.report(
                wiring,
                List.of(seat),
                finding(
                        context,
                        blueprint,
                        SourcePosition.classNamed(blueprint.className()),
                        Optional.empty(),
                        Optional.of(
                                        context.wording().toWrite(context.set().slots().slot(seat))
                                                + ": ")
                                .filter(it -> wiring.outcome(seat).filledBy().isEmpty()),
                        "under " + wiring.profile().declared().name() + " › bindings"));
    }

    private static List<String> constructors(
            ResolvedSet set, String name, List<ExecutableFacts> all) {
        List<String> lines = new ArrayList<>();
        for (ExecutableFacts executable : all.subList(0, Math.min(MOST, all.size()))) {
            lines.add(name + '(' + parameters(set, executable) + ')');
        }
        if (all.size() > MOST) {
            lines.add("and " + (all.size() - MOST) + " more");
        }
        return lines;
    }

    /**
     * @param binding the binding that the class is named in
     * @param line the start of a line that names the constructor; empty where none can
     * @param place where that line is to stand
     */
    private static Finding finding(
            RuleContext context,
            Blueprint blueprint,
            SourcePosition at,
            Optional<ResolvedBinding> binding,
            Optional<String> line,
            String place) {
        BuildFault fault = blueprint.fault().orElseThrow();
        String name = context.set().maker(blueprint);
        Finding finding =
                Finding.of(kind(fault.reason()), at, blueprint.className(), message(name, fault));
        if (!fault.constructors().isEmpty()) {
            finding =
                    finding.with(
                            "constructors",
                            constructors(context.set(), name, fault.constructors()));
        }
        if (fault.reason() == Reason.NO_SUCH_METHOD) {
            String method = blueprint.method().orElse("");
            finding =
                    finding.withAny(
                            "did you mean",
                            NearNames.of(
                                    method,
                                    blueprint.facts().methods().stream()
                                            .filter(executable -> !executable.isPrivate())
                                            .map(ExecutableFacts::name)
                                            .filter(other -> !other.equals(method))
                                            .distinct()
                                            .toList()));
        }
        Finding advised = finding.with("do", remedy(fault.reason()));
        return line.isPresent() && fault.reason().isOfConstructors()
                ? context.wording()
                        .withConstructor(
                                advised,
                                binding,
                                line.get(),
                                blueprint.className(),
                                shortest(fault),
                                place)
                : advised;
    }

    /** The constructor with the fewest parameters, as an example. */
    private static ExecutableFacts shortest(BuildFault fault) {
        return fault.constructors().stream()
                .min(Comparator.comparingInt(executable -> executable.parameterTypes().size()))
                .orElseThrow();
    }

    private static String parameters(ResolvedSet set, ExecutableFacts constructor) {
        return constructor.parameterTypes().stream()
                .map(type -> type.text(set.names()::shortName))
                .collect(Collectors.joining(", "));
    }

    private static FindingKind kind(Reason reason) {
        return switch (reason) {
            case SEVERAL_UNMARKED, SEVERAL_MARKED -> FindingKinds.WHICH_CONSTRUCTOR;
            case INTERFACE,
                    ABSTRACT,
                    ENUM,
                    NO_CONSTRUCTOR,
                    ONLY_PRIVATE,
                    NO_SUCH_CONSTRUCTOR,
                    NO_SUCH_METHOD,
                    SEVERAL_METHODS ->
                    FindingKinds.CANNOT_BE_BUILT;
        };
    }

    private static String message(String name, BuildFault fault) {
        return switch (fault.reason()) {
            case INTERFACE -> name + " is an interface: no object of it can be made.";
            case ABSTRACT -> name + " is abstract: no object of it can be made.";
            case ENUM -> name + " is an enum: its objects are made by itself alone.";
            case NO_CONSTRUCTOR -> name + " has no constructor.";
            case ONLY_PRIVATE ->
                    name + " has only private constructors, and none of them is marked @Inject.";
            case NO_SUCH_CONSTRUCTOR ->
                    name + " has no constructor with the parameter types that the binding names.";
            case NO_SUCH_METHOD -> name + " is no method that can be called.";
            case SEVERAL_METHODS ->
                    name
                            + " is the name of "
                            + fault.constructors().size()
                            + " methods, and nothing says which one to use.";
            case SEVERAL_UNMARKED ->
                    name
                            + " has "
                            + fault.constructors().size()
                            + " constructors, and nothing says which one to use.";
            case SEVERAL_MARKED ->
                    name
                            + " has "
                            + fault.constructors().size()
                            + " constructors marked @Inject; one may be.";
        };
    }

    private static String remedy(Reason reason) {
        return switch (reason) {
            case INTERFACE, ABSTRACT, ENUM, NO_CONSTRUCTOR ->
                    "bind a class with a constructor, or a mock";
            case ONLY_PRIVATE ->
                    "name the parameter types of one in the binding: constructor: [TYPE, TYPE]; or"
                            + " mark one with @Inject";
            case NO_SUCH_METHOD, SEVERAL_METHODS ->
                    "name a method that the class declares itself, that is not private, and whose"
                            + " name no other method has";
            case NO_SUCH_CONSTRUCTOR -> "name the parameter types of one of these";
            case SEVERAL_UNMARKED ->
                    "mark one with @Inject, or name its parameter types: constructor: [TYPE, TYPE]";
            case SEVERAL_MARKED ->
                    "leave one mark, or name the parameter types in the binding: constructor:"
                            + " [TYPE, TYPE]";
        };
    }
}
