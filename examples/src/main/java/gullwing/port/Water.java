package gullwing.port;

/** The waters that the port looks out on. */
public enum Water {
    COAST,
    ESTUARY,
    OFFSHORE
}
