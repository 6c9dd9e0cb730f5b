package dev.patientharbor.rig;

import dev.patientharbor.texts.RequiredArgument;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * An object that a consumer holds, with the decorators around its core.
 *
 * @param layers the object itself ({@code null} where a need that may be absent is), then what it
 *     wraps, down to the core
 */
public record HeldObject(List<Object> layers) {
    public HeldObject {
        RequiredArgument.of(layers, "layers");
        layers = Collections.unmodifiableList(new ArrayList<>(layers));
    }

    /** The object that the consumer calls. */
    public Object outermost() {
        return layers.get(0);
    }

    /** The core, behind all decorators. */
    public Object innermost() {
        return layers.get(layers.size() - 1);
    }
}
