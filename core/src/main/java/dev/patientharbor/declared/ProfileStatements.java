package dev.patientharbor.declared;

import dev.patientharbor.model.Binding;
import java.util.List;
import java.util.function.BiFunction;

/**
 * What one profile says itself, names looked up.
 *
 * @param again looks up the names of a binding that stands in place of another one
 */
public record ProfileStatements(
        List<ResolvedBinding> bindings,
        List<ResolvedDecoratorStatement> decorations,
        List<ResolvedReach> reaches,
        List<ResolvedDemand> demands,
        List<ResolvedLoosening> loosenings,
        List<ResolvedExpectation> expectations,
        BiFunction<ResolvedBinding, Binding, ResolvedBinding> again) {}
