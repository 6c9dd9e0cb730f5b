package dev.patientharbor.model;

import dev.patientharbor.finding.Where;

/**
 * A name as the user wrote it, and where.
 *
 * @param text the name, short or full
 * @param at where it stands
 */
public record Written(String text, Where at) {}
