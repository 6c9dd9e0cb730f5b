/**
 * Reads compiled code, never running it: class files of folders, jars and the running JDK become
 * facts.
 *
 * <p>The only package that sees the bytecode library. What the facts mean is left to {@code
 * resolve}. Each class file is read once, on several threads, and the facts do not depend on their
 * order. Stable.
 */
package dev.patientharbor.code;
