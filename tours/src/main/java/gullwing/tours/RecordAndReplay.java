package gullwing.tours;

import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.notation.RecordingFiles;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import gullwing.port.TideGauge;
import gullwing.quay.BridgeWatch;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** A spy listens to the real thing; what it heard becomes a stub that needs no real thing. */
public final class RecordAndReplay {

    private static final String RECORD =
            """
            patient-harbor: 1
            include: [port.harbor.yaml]
            profiles:
              listening: { extends: live, decorators: { TideGauge: [spy] } }
            """;

    private static final String REPLAY =
            """
            patient-harbor: 1
            include: [port.harbor.yaml, RECORDED]
            profiles:
              again: { extends: heard }
            """;

    private RecordAndReplay() {}

    public static void main(String[] args) throws IOException {
        Path recorded = Files.createTempFile("recorded", ".harbor.yaml");
        try (Rig rig = Rigs.build(profiles(RECORD).plan("listening"))) {
            System.out.println("heard from the sonar:");
            look(rig);
            RecordingFiles.write(
                    recorded, "heard", List.of("dock-test"), rig.recording(TideGauge.class));
        }
        System.out.println(Files.readString(recorded).stripTrailing());
        String replay = REPLAY.replace("RECORDED", recorded.toString());
        try (Rig rig = Rigs.build(profiles(replay).plan("again"))) {
            System.out.println("played again, without a sonar:");
            look(rig);
        }
        Files.delete(recorded);
    }

    private static ProfileSet profiles(String text) {
        return ProfileFiles.parse(
                text.getBytes(StandardCharsets.UTF_8), "tour.harbor.yaml", Port.folder());
    }

    private static void look(Rig rig) {
        for (int i = 0; i < 3; i++) {
            System.out.println("  " + rig.get(BridgeWatch.class).look());
        }
    }
}
