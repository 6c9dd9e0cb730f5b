package dev.patientharbor.model;

import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.WrittenName;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** A consumer that the set itself states, since no class file says that it is one. */
public sealed interface StatedConsumer {

    /** Calls the function for its kind, and returns the result. */
    <T> T match(
            Function<Thing, T> thing, Function<Handler, T> handler, Function<Statics, T> statics);

    WrittenName name();

    /**
     * What is no class, such as a page template or a script.
     *
     * @param name what people call it
     * @param needs what it asks for, by the name it uses, in order
     */
    record Thing(WrittenName name, Map<String, Slot> needs) implements StatedConsumer {
        public Thing {
            needs = Collections.unmodifiableMap(new LinkedHashMap<>(needs));
        }

        @Override
        public <T> T match(
                Function<Thing, T> thing,
                Function<Handler, T> handler,
                Function<Statics, T> statics) {
            return thing.apply(this);
        }
    }

    /**
     * A method whose parameters are supplied, but for those that its caller passes.
     *
     * @param name the method as written, {@code CLASS#METHOD}
     * @param holder the class whose method it is
     * @param method the name of the method
     * @param passed the names of the parameters that the caller passes
     */
    record Handler(WrittenName name, WrittenName holder, String method, List<WrittenName> passed)
            implements StatedConsumer {
        public Handler {
            passed = List.copyOf(passed);
        }

        @Override
        public <T> T match(
                Function<Thing, T> thing,
                Function<Handler, T> handler,
                Function<Statics, T> statics) {
            return handler.apply(this);
        }
    }

    /**
     * The static members of a class that carry the standard's mark, and those of its superclasses:
     * somebody fills them.
     *
     * @param name the class as written
     */
    record Statics(WrittenName name) implements StatedConsumer {
        @Override
        public <T> T match(
                Function<Thing, T> thing,
                Function<Handler, T> handler,
                Function<Statics, T> statics) {
            return statics.apply(this);
        }
    }
}
