/**
 * Reads profile files: YAML 1.2 text becomes the model, every part with its position.
 *
 * <p>The only package that sees the YAML library. What the names in a file mean is left to the
 * core; what is wrong with the text itself is reported here, all of it in one run. {@link
 * dev.patientharbor.notation.ProfileFiles} and {@link dev.patientharbor.notation.RecordingFiles}
 * are what users meet. Stable.
 */
package dev.patientharbor.notation;
