/**
 * Reads compiled code, never running it: class files of folders, jars and the running JDK become
 * facts.
 *
 * <p>The only package that sees the bytecode library. What the facts mean is left to {@code needs}
 * and the rooms behind it. Each class file is read once, on several threads, and the facts do not
 * depend on their order. Internal: may change.
 */
package dev.patientharbor.code;
