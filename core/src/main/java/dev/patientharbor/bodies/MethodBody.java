package dev.patientharbor.bodies;

import java.util.List;

/**
 * The body of one method.
 *
 * @param calls what it calls or refers to, in order, each once in each way
 */
public record MethodBody(MethodName name, List<MemberUse> calls) {

    public MethodBody {
        calls = List.copyOf(calls);
    }
}
