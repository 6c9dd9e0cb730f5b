/**
 * Says what classes ask for: it reads their needs, their marks and qualifiers, and chooses the
 * constructor that makes an object. It numbers the slots that are asked for, and the levels at
 * which profiles speak.
 *
 * <p>It does not know what any profile says; that is for {@code declared} and the rooms behind it.
 * Internal: may change.
 */
package dev.patientharbor.needs;
