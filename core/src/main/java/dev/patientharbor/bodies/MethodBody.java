package dev.patientharbor.bodies;

import java.util.List;

/**
 * The body of one method.
 *
 * @param access its modifiers
 * @param calls what it calls or refers to, in order
 */
public record MethodBody(MethodName name, int access, List<MemberUse> calls) {

    public MethodBody {
        calls = List.copyOf(calls);
    }
}
