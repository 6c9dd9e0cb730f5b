package dev.patientharbor.survey;

/** How code gets hold of an object that nobody handed to it. */
public enum ObtainedBy {
    /** It calls a constructor. */
    CONSTRUCTOR,
    /** It calls a static method that hands one out. */
    STATIC_METHOD,
    /** It reads a static field of another class. */
    STATIC_FIELD,
    /** It asks for the services that are listed for the contract. */
    SERVICE,
    /** It names a class in a text, and has it loaded. */
    CLASS_NAME,
    /** It writes a lambda or a method reference. */
    LAMBDA;

    /** Returns whether the code says what class it is, so that it makes the object itself. */
    public boolean isMade() {
        return switch (this) {
            case CONSTRUCTOR, CLASS_NAME, LAMBDA -> true;
            case STATIC_METHOD, STATIC_FIELD, SERVICE -> false;
        };
    }
}
