package gullwing.port;

/** Knows which pilot is on duty. */
public interface PilotRota {
    String onDuty();
}
