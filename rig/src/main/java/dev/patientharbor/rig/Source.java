package dev.patientharbor.rig;

/** Something that a parameter or a field may be given. */
interface Source {

    /**
     * Hands it out.
     *
     * @param at the rig or the scope in which it is asked for
     * @throws RigException if it cannot be made
     */
    Object get(Surroundings at);
}
