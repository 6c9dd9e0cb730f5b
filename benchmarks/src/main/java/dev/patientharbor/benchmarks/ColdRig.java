package dev.patientharbor.benchmarks;

import dev.patientharbor.profiles.Plan;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * The first build of 300 objects in a new Java process, by a rig and by hand in turn: the loading
 * of their classes counts, the making of the plan does not.
 */
public final class ColdRig {

    private static final int ROUNDS = 15;
    private static final int SIZE = 300;

    private ColdRig() {}

    public static void main(String[] mode) throws IOException, InterruptedException {
        if (mode.length > 0) {
            System.out.println(once(mode[0].equals("rig")));
            return;
        }
        List<Long> rig = new ArrayList<>();
        List<Long> hand = new ArrayList<>();
        for (int i = 0; i < ROUNDS; i++) {
            rig.add(inNewProcess("rig"));
            hand.add(inNewProcess("hand"));
        }
        rig.sort(null);
        hand.sort(null);
        double ratio = (double) rig.get(ROUNDS / 2) / hand.get(ROUNDS / 2);
        System.out.printf(
                "first build of %d objects, cold: rig %d us, by hand %d us, ratio %.2f%n",
                SIZE, rig.get(ROUNDS / 2), hand.get(ROUNDS / 2), ratio);
    }

    private static long once(boolean byRig) {
        Fleet fleet = new Fleet(SIZE);
        Plan plan = fleet.plan();
        plan.assembly();
        long start = System.nanoTime();
        Object root;
        if (byRig) {
            Rig rig = Rigs.build(plan, fleet.loader());
            root = rig.get(fleet.root());
        } else {
            root = fleet.hand().get();
        }
        long end = System.nanoTime();
        if (root == null) {
            throw new IllegalStateException("nothing was built");
        }
        return (end - start) / 1000;
    }

    private static long inNewProcess(String mode) throws IOException, InterruptedException {
        Process process =
                new ProcessBuilder(
                                System.getProperty("java.home") + "/bin/java",
                                "-cp",
                                System.getProperty("java.class.path"),
                                ColdRig.class.getName(),
                                mode)
                        .redirectErrorStream(true)
                        .start();
        String text =
                new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        if (process.waitFor() != 0) {
            throw new IOException(text);
        }
        return Long.parseLong(text);
    }
}
