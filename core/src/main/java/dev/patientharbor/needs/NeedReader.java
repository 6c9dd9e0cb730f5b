package dev.patientharbor.needs;

import dev.patientharbor.assembly.MarkedMember;
import dev.patientharbor.code.AnnotationFacts;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.code.ExecutableFacts;
import dev.patientharbor.code.FieldFacts;
import dev.patientharbor.code.LookupFacts;
import dev.patientharbor.plan.NeedPlace;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.TypeRef.ClassType;
import dev.patientharbor.types.Carrier;
import dev.patientharbor.types.GenericTypes;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reads what a class asks for: the parameters of its constructor, then the marked fields and
 * methods of its superclasses and its own, superclass first and fields before methods, as the open
 * standard says.
 */
public final class NeedReader {

    private final CodeIndex code;
    private final GenericTypes generics;
    private final QualifierReader qualifiers;
    private final KnownMarks marks;
    private final SlotTable slots;

    /** Whether anything but a constructor asks, in a class or above it. */
    private final InheritedTrait asksByMembers;

    public NeedReader(CodeIndex code, GenericTypes generics, KnownMarks marks, SlotTable slots) {
        this.code = code;
        this.generics = generics;
        this.slots = slots;
        this.marks = marks;
        qualifiers = new QualifierReader(code, marks);
        asksByMembers = new InheritedTrait(code, NeedReader::asksByMembers);
    }

    /**
     * What a class asks for.
     *
     * @param constructor the one that is used; empty if that is not known
     */
    List<Need> needs(ClassFacts facts, ClassType type, Optional<ExecutableFacts> constructor) {
        List<Need> needs = new ArrayList<>();
        List<Member> chain = chain(facts, open(facts, type));
        constructor.ifPresent(
                executable ->
                        addParameters(
                                executable,
                                chain.get(0).variables(),
                                needs,
                                NeedPlace::constructor));
        for (int i = chain.size() - 1; i >= 0; i--) {
            addMembers(chain, i, false, needs);
            addLookups(chain.get(i).facts(), needs);
        }
        return needs;
    }

    /** What the marked static members of a class and its superclasses ask for. */
    public List<Need> statics(ClassFacts facts) {
        List<Need> needs = new ArrayList<>();
        List<Member> chain = chain(facts, open(facts, facts.asType().raw()));
        for (int i = chain.size() - 1; i >= 0; i--) {
            addMembers(chain, i, true, needs);
        }
        return needs;
    }

    private void addMembers(List<Member> chain, int index, boolean areStatic, List<Need> needs) {
        Member member = chain.get(index);
        if (member.facts().fields().isEmpty() && member.facts().methods().isEmpty()) {
            return;
        }
        Set<String> below = new HashSet<>();
        for (Member one : chain.subList(0, index)) {
            markedFields(one, areStatic).forEach(field -> below.add(field.name()));
        }
        for (FieldFacts field : markedFields(member, areStatic)) {
            boolean isHidden = below.contains(field.name());
            NeedPlace place = place(NeedPlace.field(field.name()), member, isHidden, areStatic);
            TypeRef type = field.type().bind(member.variables());
            add(needs, place, field.name(), type, field.annotations());
        }
        List<ExecutableFacts> methods = markedMethods(chain, index, areStatic);
        Set<String> methodsBelow = new HashSet<>();
        for (int i = 0; i < index && !methods.isEmpty(); i++) {
            markedMethods(chain, i, areStatic)
                    .forEach(method -> methodsBelow.add(method.overrideKey()));
        }
        for (ExecutableFacts method : methods) {
            boolean isHidden = methodsBelow.contains(method.overrideKey());
            String nameAndTypes = nameAndTypes(method);
            addParameters(
                    method,
                    member.variables(),
                    needs,
                    i -> place(NeedPlace.method(nameAndTypes, i), member, isHidden, areStatic));
        }
    }

    private static NeedPlace place(
            NeedPlace place, Member member, boolean isHidden, boolean isStatic) {
        NeedPlace of = isHidden ? place.of(member.facts().name()) : place;
        return isStatic ? of.ofStatic() : of;
    }

    /** A marked member, and how many needs it has. */
    public record MemberNeeds(
            String owner, MarkedMember.Kind kind, String name, String descriptor, int needs) {}

    /** The marked fields and methods, in the order of their needs. */
    List<MemberNeeds> marked(ClassFacts facts, ClassType type) {
        List<MemberNeeds> marked = new ArrayList<>();
        List<Member> chain = chain(facts, open(facts, type));
        for (int i = chain.size() - 1; i >= 0; i--) {
            String owner = chain.get(i).facts().name();
            for (FieldFacts field : markedFields(chain.get(i), false)) {
                marked.add(new MemberNeeds(owner, MarkedMember.Kind.FIELD, field.name(), "", 1));
            }
            for (ExecutableFacts method : markedMethods(chain, i, false)) {
                marked.add(
                        new MemberNeeds(
                                owner,
                                MarkedMember.Kind.METHOD,
                                method.name(),
                                method.descriptor(),
                                method.parameterTypes().size()));
            }
        }
        return marked;
    }

    /** Returns what a raw type asks for: whatever its type parameters allow. */
    private static ClassType open(ClassFacts facts, ClassType type) {
        if (!type.arguments().isEmpty() || facts.signature().isEmpty()) {
            return type;
        }
        Map<String, TypeRef> unsaid = TypeParameterBounds.of(facts);
        return new ClassType(
                type.name(), facts.typeParameters().stream().map(unsaid::get).toList());
    }

    private void addLookups(ClassFacts facts, List<Need> needs) {
        Map<String, Integer> counts = new HashMap<>();
        for (LookupFacts lookup : facts.bodies().lookups()) {
            Optional<Key> key =
                    lookup.key().flatMap(constant -> constant.key(code)).map(Key::named);
            if (lookup.key().isPresent() && key.isEmpty()) {
                continue; // a field, of which it is not known what it holds
            }
            int index = counts.merge(lookup.method(), 1, Integer::sum) - 1;
            Slot slot = new Slot(TypeRef.of(lookup.contract()), key);
            needs.add(
                    new Need(
                            NeedPlace.lookup(lookup.method(), index),
                            lookup.method(),
                            slots.number(slot)));
        }
    }

    /** What is wrong with the marks of the constructor and of the marked members of a class. */
    List<MarkFault> faults(
            ClassFacts facts, ClassType type, Optional<ExecutableFacts> constructor) {
        boolean isMarked = constructor.isPresent() && hasMarkedParameter(constructor.get());
        boolean isAlone = facts.superName().filter(code::inCode).isEmpty();
        boolean hasMembers = !isAlone || !facts.fields().isEmpty() || !facts.methods().isEmpty();
        if (!isMarked && !hasMembers) {
            return List.of();
        }
        MarkFaults faults = new MarkFaults(qualifiers);
        if (isMarked) {
            faults.ofParameters(facts.name(), constructor.get(), NeedPlace::constructor);
        }
        if (!hasMembers) {
            return faults.all();
        }
        List<Member> chain = chain(facts, open(facts, type));
        for (int i = chain.size() - 1; i >= 0; i--) {
            String owner = chain.get(i).facts().name();
            markedFields(chain.get(i), false).forEach(field -> faults.ofField(owner, field));
            markedMethods(chain, i, false)
                    .forEach(executable -> faults.ofMethod(owner, executable));
        }
        return faults.all();
    }

    private static boolean hasMarkedParameter(ExecutableFacts constructor) {
        for (List<AnnotationFacts> marks : constructor.parameterAnnotations()) {
            if (!marks.isEmpty()) {
                return true;
            }
        }
        return false;
    }

    /** The parameters of a factory method. */
    public List<Need> parameters(ExecutableFacts method) {
        List<Need> needs = new ArrayList<>();
        addParameters(method, Map.of(), needs, i -> NeedPlace.method(nameAndTypes(method), i));
        return needs;
    }

    static String nameAndTypes(ExecutableFacts method) {
        return method.name() + '(' + String.join(",", method.erasedParameterTypes()) + ')';
    }

    /** One class of the chain of superclasses, and what its type parameters stand for. */
    private record Member(
            ClassFacts facts, Map<String, TypeRef> variables, Set<String> overriding) {

        /**
         * Returns whether it has a method that overrides those of such a name and types above it.
         */
        boolean declares(String overrideKey) {
            if (overriding.isEmpty()) {
                facts.methods().stream()
                        .filter(executable -> !executable.isPrivate())
                        .forEach(executable -> overriding.add(executable.overrideKey()));
            }
            return facts.unmarkedMethods().contains(overrideKey)
                    || overriding.contains(overrideKey);
        }
    }

    private static boolean asksByMembers(ClassFacts facts) {
        return !facts.fields().isEmpty()
                || !facts.methods().isEmpty()
                || !facts.bodies().lookups().isEmpty();
    }

    /** A class and those of its superclasses up to the last one whose members may ask. */
    private List<Member> chain(ClassFacts facts, ClassType type) {
        List<Member> chain = new ArrayList<>();
        chain.add(member(facts, type));
        ClassFacts last = facts;
        ClassType lastType = type;
        if (last.superName().filter(code::inCode).isEmpty()) {
            return chain;
        }
        Set<String> seen = new HashSet<>(Set.of(facts.name()));
        while (last.superName().filter(code::inCode).isPresent()
                && seen.add(last.superName().get())) {
            lastType = generics.parents(last, lastType).get(0);
            Optional<ClassFacts> found = code.find(lastType.name());
            if (found.filter(asksByMembers::has).isEmpty()) {
                return chain;
            }
            last = found.get();
            chain.add(member(last, lastType));
        }
        return chain;
    }

    private Member member(ClassFacts facts, ClassType type) {
        Map<String, TypeRef> variables = GenericTypes.variables(facts, type);
        if (facts.name().indexOf('$') > 0) {
            Map<String, TypeRef> own = variables;
            variables = TypeParameterBounds.around(facts, code);
            variables.putAll(own);
        }
        return new Member(facts, variables, new HashSet<>(0));
    }

    private List<FieldFacts> markedFields(Member member, boolean areStatic) {
        List<FieldFacts> found = new ArrayList<>(0);
        for (FieldFacts field : member.facts().fields()) {
            if (marks.isInject(field.annotations())
                    && Modifier.isStatic(field.access()) == areStatic) {
                found.add(field);
            }
        }
        return found;
    }

    private List<ExecutableFacts> markedMethods(List<Member> chain, int index, boolean areStatic) {
        List<ExecutableFacts> found = new ArrayList<>(0);
        for (ExecutableFacts method : chain.get(index).facts().methods()) {
            if (marks.isInject(method.annotations())
                    && Modifier.isStatic(method.access()) == areStatic
                    && (areStatic || !isOverridden(method, chain, index))) {
                found.add(method);
            }
        }
        return found;
    }

    private static boolean isOverridden(ExecutableFacts method, List<Member> chain, int index) {
        if (method.isPrivate()) {
            return false;
        }
        boolean everywhere =
                Modifier.isPublic(method.access()) || Modifier.isProtected(method.access());
        String packageName = chain.get(index).facts().packageName();
        return chain.subList(0, index).stream()
                .filter(below -> everywhere || below.facts().packageName().equals(packageName))
                .anyMatch(below -> below.declares(method.overrideKey()));
    }

    private interface Places {
        NeedPlace at(int index);
    }

    private void addParameters(
            ExecutableFacts executable,
            Map<String, TypeRef> variables,
            List<Need> needs,
            Places places) {
        List<TypeRef> types = executable.parameterTypes();
        Map<String, TypeRef> own = TypeParameterBounds.of(executable);
        for (int i = 0; i < types.size(); i++) {
            add(
                    needs,
                    places.at(i),
                    executable.parameterName(i),
                    types.get(i).bind(own).bind(variables),
                    executable.parameterAnnotations(i));
        }
    }

    private void add(
            List<Need> needs,
            NeedPlace place,
            String name,
            TypeRef type,
            List<AnnotationFacts> found) {
        Optional<Key> key = qualifiers.key(found);
        TypeRef definite = type.atLeast();
        TypeRef asked = marks.mayBeAbsent(found) ? Carrier.mayBeAbsent(definite) : definite;
        needs.add(new Need(place, name, slots.number(new Slot(asked, key))));
    }
}
