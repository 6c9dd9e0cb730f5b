/**
 * Class names as people write them and as people read them.
 *
 * <p>What a name stands for in a profile is left to {@code resolve}, what is wrong with it to
 * {@code check}. Internal: may change.
 */
package dev.patientharbor.names;
