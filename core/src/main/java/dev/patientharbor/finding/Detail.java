package dev.patientharbor.finding;

/**
 * One more fact of a finding.
 *
 * @param label what the fact is, such as {@code looked in}
 * @param text the fact; lines are separated by {@code \n}
 */
public record Detail(String label, String text) {}
