/**
 * Rigs: live objects from a plan.
 *
 * <p>A plan says everything; nothing is decided here. What may stand in for a contract comes from
 * {@code behaviours}, classes and values come from {@code live}. {@link
 * dev.patientharbor.rig.Rigs}, {@link dev.patientharbor.rig.Rig} and {@link
 * dev.patientharbor.rig.Scope} are the door. Stable.
 */
package dev.patientharbor.rig;
