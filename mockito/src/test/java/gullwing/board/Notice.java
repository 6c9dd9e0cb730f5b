package gullwing.board;

/** What is told to whoever passes by. */
public interface Notice {
    void announce(String text);
}
