package dev.patientharbor.drafting;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.tracing.HandWiringTracer;
import dev.patientharbor.tracing.TracedObject;
import dev.patientharbor.tracing.WiringTrace;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Says as profiles what a method does that wires by hand. For one thread. */
public final class WiringDrafter {

    private final CodeIndex code;
    private final SetDeclaration set;

    /**
     * @param set which marks count
     */
    public WiringDrafter(CodeIndex code, SetDeclaration set) {
        this.code = code;
        this.set = set;
    }

    /**
     * Follows a method, or a constructor.
     *
     * @param className the binary name of its class
     * @param method the name of the method; blank for the constructor
     * @return one draft for each way that wires in another way than those before it
     * @throws IllegalArgumentException if there is no such method, or several, or it wires nothing
     */
    public List<WiringDraft> draft(String className, String method) {
        HandWiringTracer tracer = new HandWiringTracer(code);
        List<WiringTrace> traces = tracer.trace(method(className, method));
        boolean anyWhole = traces.stream().anyMatch(WiringTrace::isWhole);
        List<WiringDraft> drafts = new ArrayList<>();
        Set<Object> seen = new HashSet<>();
        for (WiringTrace trace : traces) {
            if (trace.isWhole() == anyWhole) {
                boolean isCut = traces.size() == HandWiringTracer.MOST_WAYS;
                Optional<WiringDraft> draft = draft(trace, isCut);
                draft.filter(made -> seen.add(List.of(made.entry(), made.levels())))
                        .ifPresent(drafts::add);
            }
        }
        if (drafts.isEmpty()) {
            throw new IllegalArgumentException(
                    className
                            + (method.isEmpty() ? "" : "#" + method)
                            + " makes no object that asks for another one, as far as can be told");
        }
        return drafts;
    }

    private MethodName method(String className, String method) {
        if (!code.inCode(className) || code.find(className).isEmpty()) {
            throw new IllegalArgumentException("there is no class " + className + " in the code");
        }
        List<ExecutableFacts> found =
                method.isEmpty()
                        ? code.find(className).get().constructors()
                        : code.methodsOf(className).stream()
                                .filter(each -> each.name().equals(method))
                                .toList();
        if (found.size() != 1) {
            String what = method.isEmpty() ? "constructor" : "method " + method;
            throw new IllegalArgumentException(
                    found.isEmpty()
                            ? className + " has no " + what
                            : className + " has " + found.size() + " of " + what + ", not one");
        }
        String name = method.isEmpty() ? "<init>" : method;
        return new MethodName(className, name, found.get(0).descriptor());
    }

    private Optional<WiringDraft> draft(WiringTrace trace, boolean isCut) {
        WiredObjects objects = new WiredObjects(code, set);
        List<TracedObject> candidates =
                trace.roots().stream().filter(object -> !object.isHelper()).toList();
        SlotContents contents = new SlotContents(objects, candidates);
        List<WiredObject> entries = new ArrayList<>();
        for (TracedObject object : candidates) {
            WiredObject wired = objects.of(object);
            boolean isOfCode = code.inCode(object.type());
            if (!contents.isHanded(object)
                    && !wired.isByFactory()
                    && isOfCode
                    && !wired.needs().isEmpty()) {
                entries.add(wired);
            }
        }
        if (entries.isEmpty()) {
            return Optional.empty();
        }
        WiringDraftMaker draft = new WiringDraftMaker(code, trace, contents, entries);
        if (isCut) {
            draft.remark(
                    "the method parts into "
                            + HandWiringTracer.MOST_WAYS
                            + " ways or more; only so many were followed");
        }
        return Optional.of(draft.draft());
    }
}
