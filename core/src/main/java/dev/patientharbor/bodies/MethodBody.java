package dev.patientharbor.bodies;

import java.util.List;

/**
 * The body of one method.
 *
 * @param calls what it calls or refers to, in order
 */
public record MethodBody(MethodName name, List<MemberUse> calls) {

    public MethodBody {
        calls = List.copyOf(calls);
    }
}
