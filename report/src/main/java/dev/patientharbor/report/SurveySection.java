package dev.patientharbor.report;

import dev.patientharbor.texts.RequiredArgument;
import java.util.Arrays;
import java.util.Optional;

/** The parts of a survey, in the order in which they are shown. */
public enum SurveySection {
    HARD_WIRED("hard-wired", "consumers that make or fetch an implementation by themselves"),
    CONTRACTS("contracts", "what consumers ask for, and what stands behind it"),
    INTERFACES(
            "interfaces",
            "what could stand where a class is asked for: the members that others use"),
    TOUCHES("touches", "what reaches outside, by the shortest way"),
    HAND_WIRING("hand-wiring", "methods that make objects and hand them to constructors"),
    SHARED_STATE("shared-state", "static fields that hold a contract, or change"),
    ENTRY_CONSUMERS("entry-consumers", "classes that ask for contracts, and that nobody asks for"),
    UNREADABLE("unreadable", "what could not be read");

    private final String word;
    private final String about;

    SurveySection(String word, String about) {
        this.word = word;
        this.about = about;
    }

    /** Returns the section of a word; empty if there is none. */
    public static Optional<SurveySection> of(String word) {
        RequiredArgument.of(word, "word");
        return Arrays.stream(values()).filter(section -> section.word.equals(word)).findFirst();
    }

    /** Returns what people call it. */
    public String word() {
        return word;
    }

    /** Returns what it is about, in a line. */
    String about() {
        return about;
    }
}
