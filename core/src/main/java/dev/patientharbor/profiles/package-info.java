/**
 * The door for Java: declares a set of profiles, checks it, and answers who receives what.
 *
 * <p>It joins the rooms behind it and decides nothing itself; profile files are read by the
 * notation, live objects are made elsewhere. Stable.
 */
package dev.patientharbor.profiles;
