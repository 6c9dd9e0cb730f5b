package dev.patientharbor.resolve;

import dev.patientharbor.check.Checker;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.model.CheckCircumstances;

/** Random worlds for tests of other packages. */
public final class RandomSets {

    private RandomSets() {}

    /** What a check says of the world of a seed. */
    public static Verdict check(long seed, boolean whole) {
        World world = new World(seed, whole);
        return Checker.check(world.set(), world.places(), CheckCircumstances.NONE);
    }
}
