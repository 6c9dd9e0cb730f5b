package dev.patientharbor.rig;

import java.util.Optional;

/** Receives, slot by slot, what lookups in the middle of methods are to find. */
@FunctionalInterface
public interface LookupFiller {

    /**
     * @param contract what is looked up
     * @param key under which key, if under one
     * @param object what is to be found
     */
    void fill(Class<?> contract, Optional<String> key, Object object);
}
