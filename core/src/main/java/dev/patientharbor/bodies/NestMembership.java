package dev.patientharbor.bodies;

import java.util.Set;

/**
 * Which classes and constants belong to one nest.
 *
 * @param outermost the binary name of the class around all others
 * @param constants the constants of its enums, as {@code CLASS#NAME}
 */
record NestMembership(String outermost, Set<String> constants) {

    /** Returns whether a class, by its binary name, belongs to it. */
    boolean has(String className) {
        return NestBodies.outermost(className).equals(outermost);
    }

    boolean isConstant(String className, String field) {
        return constants.contains(className + '#' + field);
    }
}
