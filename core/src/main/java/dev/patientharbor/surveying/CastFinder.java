package dev.patientharbor.surveying;

import dev.patientharbor.bodies.MethodName;
import dev.patientharbor.bodies.NestBodies;
import dev.patientharbor.bodies.ObjectOrigin;
import dev.patientharbor.bodies.ObjectUse;
import dev.patientharbor.code.ClassFacts;
import dev.patientharbor.code.CodeIndex;
import dev.patientharbor.survey.CodeLocation;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Finds where a consumer takes what it is handed for one class of several: by a cast, {@code
 * instanceof} or a pattern. For one thread.
 */
public final class CastFinder {

    private final CodeIndex code;
    private final NestReader nests;

    public CastFinder(CodeIndex code) {
        this.code = code;
        nests = new NestReader(code);
    }

    /**
     * Where an object is handed in: by a field, or by a parameter.
     *
     * @param owner the binary name of the class that has the member
     * @param parameterTypes the erased types of its parameters; empty for a field
     * @param index which parameter, from 0
     */
    public record Place(
            String owner, String member, Optional<List<String>> parameterTypes, int index) {

        /** A field. */
        public static Place field(String owner, String name) {
            return new Place(owner, name, Optional.empty(), 0);
        }

        /** A parameter of a method, or of a constructor, {@code <init>}. */
        public static Place parameter(String owner, String method, List<String> types, int index) {
            return new Place(owner, method, Optional.of(types), index);
        }
    }

    /**
     * Returns the places, by class that the object is taken for; the first place of each.
     *
     * @param place where it is handed in
     * @param classes the classes that it may be taken for; bodies are read if one is mentioned
     */
    public SortedMap<String, CodeLocation> in(Place place, List<String> classes) {
        SortedMap<String, CodeLocation> found = new TreeMap<>();
        String outermost = NestBodies.outermost(place.owner());
        List<String> mentioned =
                classes.stream().filter(name -> mentions(outermost, name)).toList();
        Optional<NestBodies> nest = mentioned.isEmpty() ? Optional.empty() : nests.read(outermost);
        if (nest.isEmpty()) {
            return found;
        }
        for (ObjectOrigin origin : origins(nest.get(), place)) {
            nest.get().uses(origin).stream()
                    .flatMap(use -> use.taken().stream())
                    .filter(taken -> mentioned.contains(taken.className()))
                    .forEach(
                            taken ->
                                    found.merge(
                                            taken.className(),
                                            location(nest.get(), taken),
                                            CastFinder::first));
        }
        return found;
    }

    private static CodeLocation first(CodeLocation one, CodeLocation other) {
        return CodeLocation.ORDER.compare(one, other) <= 0 ? one : other;
    }

    private boolean mentions(String outermost, String className) {
        return nests.members(outermost).stream()
                .map(code::find)
                .flatMap(Optional::stream)
                .map(ClassFacts::bodies)
                .anyMatch(bodies -> bodies.mentioned().has(className));
    }

    /** Where an object is that is handed in. */
    private static List<ObjectOrigin> origins(NestBodies nest, Place place) {
        if (place.parameterTypes().isEmpty()) {
            return List.of(new ObjectOrigin.OfField(place.owner(), place.member()));
        }
        List<ObjectOrigin> found = new ArrayList<>(1);
        nest.classes().stream()
                .filter(bodies -> bodies.name().equals(place.owner()))
                .flatMap(bodies -> bodies.methods().stream())
                .map(body -> body.name())
                .filter(method -> method.name().equals(place.member()))
                .filter(method -> method.parameterTypes().equals(place.parameterTypes().get()))
                .forEach(method -> found.add(new ObjectOrigin.OfParameter(method, place.index())));
        return found;
    }

    private static CodeLocation location(NestBodies nest, ObjectUse.TakenFor taken) {
        MethodName in = taken.in();
        Optional<String> source =
                nest.classes().stream()
                        .filter(bodies -> bodies.name().equals(in.owner()))
                        .findFirst()
                        .flatMap(bodies -> bodies.source());
        return new CodeLocation(in.owner(), in.inSource(), source, taken.line());
    }
}
