/**
 * What stand-ins do when they are called: answer nothing, answer what is written down, pass on,
 * wait, fail, and record each call.
 *
 * <p>It knows contracts and answers, and nothing of profiles and rigs. Internal: may change.
 */
package dev.patientharbor.behaviours;
