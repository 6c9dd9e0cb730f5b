package gullwing.office;

/** Sends letters by post. */
public final class PostMailer implements Mailer {

    private final PostOffice office;

    public PostMailer(int port) {
        office = new PostOffice(port);
    }

    @Override
    public void send(String passenger, String text) {
        office.handIn(passenger + ": " + text + "\n");
    }
}
