package gullwing.port;

/** Makes tickets of one kind. */
public interface TicketMaker {
    /** What kind that is: makers are told apart by it. */
    String kind();

    String make(String passenger);
}
