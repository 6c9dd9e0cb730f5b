package gullwing.office;

/** Sends letters to passengers. */
public interface Mailer {
    void send(String passenger, String text);
}
