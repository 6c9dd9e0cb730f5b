package gullwing.office;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;

/** Hands letters to the post office, which listens on this machine. */
final class PostOffice {

    private final int port;

    PostOffice(int port) {
        this.port = port;
    }

    void handIn(String letter) {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            socket.getOutputStream().write(letter.getBytes(StandardCharsets.UTF_8));
        } catch (IOException closed) {
            throw new UncheckedIOException("the post office is closed", closed);
        }
    }
}
