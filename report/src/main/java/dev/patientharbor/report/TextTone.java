package dev.patientharbor.report;

/**
 * What a piece of text is, so that a terminal may show it by colour; never said by colour alone.
 */
public enum TextTone {
    TITLE,
    GOOD,
    BAD,
    CAREFUL,
    REAL,
    STAND_IN,
    QUIET
}
