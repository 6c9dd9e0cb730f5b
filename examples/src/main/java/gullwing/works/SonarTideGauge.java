package gullwing.works;

import gullwing.port.TideGauge;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;

/** Asks the sonar. */
public final class SonarTideGauge implements TideGauge {

    private final SonarStation sonar;

    public SonarTideGauge(SonarStation sonar) {
        this.sonar = sonar;
    }

    @Override
    public double levelNow() {
        try (Socket line = new Socket(InetAddress.getLoopbackAddress(), sonar.port())) {
            byte[] answer = line.getInputStream().readAllBytes();
            return Double.parseDouble(new String(answer, StandardCharsets.US_ASCII).strip());
        } catch (IOException fault) {
            throw new UncheckedIOException("the sonar does not answer", fault);
        }
    }
}
