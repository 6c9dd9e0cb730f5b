package dev.patientharbor.bodies;

/**
 * A method that a body calls or refers to, or a static field that it reads.
 *
 * @param isStatic whether it needs no object
 * @param isVirtual whether the object decides which one runs
 */
public record MemberUse(MethodName method, boolean isStatic, boolean isVirtual, int line) {}
