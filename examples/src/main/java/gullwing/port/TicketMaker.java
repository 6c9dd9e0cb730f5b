package gullwing.port;

/** Makes tickets of one kind. */
public interface TicketMaker {
    String make(String passenger);
}
