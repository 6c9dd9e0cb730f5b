package dev.patientharbor.comparing;

/** What differs for one need, in the order in which people want to know it. */
public enum ChangeKind {
    ONLY_BEFORE("only in the first"),
    ONLY_AFTER("only in the second"),
    KIND("real or stand-in"),
    CORE("implementation"),
    MEMBERS("members"),
    DECORATORS("decorators"),
    GIVEN("values"),
    LIFETIME("lifetime"),
    SHARING("shared with others"),
    ASKED("what is asked for");

    private final String word;

    ChangeKind(String word) {
        this.word = word;
    }

    /** Returns what people read. */
    public String word() {
        return word;
    }
}
