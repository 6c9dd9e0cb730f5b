/**
 * Rigs: live objects from a plan.
 *
 * <p>A plan says everything; nothing is decided here. What may stand in for a contract comes from
 * {@code standins}, classes and values come from {@code live}. {@link dev.patientharbor.rig.Rigs},
 * {@link dev.patientharbor.rig.Rig} and {@link dev.patientharbor.rig.Scope} are the door, and
 * stable.
 */
package dev.patientharbor.rig;
