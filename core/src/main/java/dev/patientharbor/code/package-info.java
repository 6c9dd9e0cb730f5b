/**
 * Reads compiled code, never running it: class files of folders, jars and the running JDK become
 * facts.
 *
 * <p>The only package that sees the bytecode library. What the facts mean is left to {@code needs}
 * and the rooms behind it. What classes there are is known from paths; each class file is read when
 * somebody asks for it, once, and facts depend on no order. Internal: may change.
 */
package dev.patientharbor.code;
