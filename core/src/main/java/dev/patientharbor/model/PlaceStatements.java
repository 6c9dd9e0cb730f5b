package dev.patientharbor.model;

import dev.patientharbor.terms.WrittenName;

/**
 * What a profile says for one area or one consumer.
 *
 * @param place the name of the area, or of the consumer's class
 * @param words what holds there
 */
public record PlaceStatements(WrittenName place, LevelStatements words) {}
