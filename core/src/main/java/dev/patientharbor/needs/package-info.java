/**
 * Says what classes ask for: it reads their needs, their marks and qualifiers, and chooses the
 * constructor that makes an object. It numbers the slots that are asked for, and makes the levels
 * at which profiles speak.
 *
 * <p>Three kinds of number run through this room and those behind it. A {@code slot} is the number
 * of a slot in the whole profile. A {@code seat} is the number of a slot at some level; in the
 * whole profile both are the same. A {@code profile}, {@code profileNumber} or {@code owner} is the
 * place of a profile in the file, from 0. {@link dev.patientharbor.needs.SlotTable} gives the first
 * two.
 *
 * <p>It does not know what any profile says; that is for {@code declared} and the rooms behind it.
 * Internal: may change.
 */
package dev.patientharbor.needs;
