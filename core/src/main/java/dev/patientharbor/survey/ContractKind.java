package dev.patientharbor.survey;

/** What kind of type consumers ask for. */
public enum ContractKind {
    INTERFACE("interface"),
    ABSTRACT_CLASS("abstract class"),
    /** A class that can be made: only it, or a subclass, can be passed. */
    CLASS("class");

    private final String word;

    ContractKind(String word) {
        this.word = word;
    }

    /** Returns what reports call it. */
    public String word() {
        return word;
    }
}
