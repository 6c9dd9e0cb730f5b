package gullwing.works;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;

/** A sonar under the pier, simulated: tells the level to whoever connects, over loopback alone. */
public final class SonarStation implements AutoCloseable {

    private static final String LEVEL = "3.15\n";

    private final ServerSocket socket;

    public SonarStation() {
        try {
            socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
        } catch (IOException fault) {
            throw new UncheckedIOException("the sonar cannot open a port", fault);
        }
        Thread answering = new Thread(this::answer, "sonar");
        answering.setDaemon(true);
        answering.start();
    }

    int port() {
        return socket.getLocalPort();
    }

    private void answer() {
        while (!socket.isClosed()) {
            try (Socket asker = socket.accept()) {
                asker.getOutputStream().write(LEVEL.getBytes(StandardCharsets.US_ASCII));
            } catch (IOException closed) {
                // Nobody asks any more, or one asker went away: the next one is served.
            }
        }
    }

    @Override
    public void close() {
        try {
            socket.close();
        } catch (IOException fault) {
            throw new UncheckedIOException("the sonar cannot close its port", fault);
        }
    }
}
