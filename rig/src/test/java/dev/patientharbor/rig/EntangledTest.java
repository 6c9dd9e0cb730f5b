package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/**
 * Constructors at random, which ask for each other while they run, forgive a refusal or pass it on:
 * what they see is the same in the first rig of a plan as in each later one.
 */
class EntangledTest {

    private static final int KNOTS = Integer.getInteger("patientharbor.knots", 100);
    private static final int SIZE = 7;
    private static final int OFTEN = 3;

    private final Random random = new Random(2_0261_126);
    private final StringBuilder java =
            new StringBuilder(
                    """
                    import java.util.function.Supplier;
                    public class Log {
                        public static final StringBuilder TEXT = new StringBuilder();
                        public static int made;
                        static void add(String word) { TEXT.append(' ').append(word); }
                        public static class Noted {
                            private final int number = ++made;
                            Noted() { add("+" + this); }
                            static void ask(Supplier<?> other, boolean forgives) {
                                try {
                                    add("got " + other.get());
                                } catch (RuntimeException refusal) {
                                    add("refused");
                                    if (!forgives) throw refusal;
                                }
                            }
                            @Override public String toString() { return getClass().getSimpleName() + number; }
                        }
                    }
                    """);
    private final StringBuilder bindings = new StringBuilder();

    @Test
    void constructors_that_ask_for_each_other_see_the_same_in_every_rig_of_a_plan()
            throws ReflectiveOperationException {
        for (int knot = 0; knot < KNOTS; knot++) {
            for (int i = 0; i < SIZE; i++) {
                write(knot, i);
            }
        }
        Yard yard =
                Yard.of(
                        java.toString(),
                        "entry: "
                                + IntStream.range(0, KNOTS).mapToObj(i -> name(i, 0)).toList()
                                + "\nprofiles: { t: { bindings: {\n"
                                + bindings
                                + "}}}\n");
        List<String> first = IntStream.range(0, KNOTS).mapToObj(i -> seen(yard, i)).toList();
        for (int i = 0; i < OFTEN; i++) {
            yard.rig("t").close();
        }
        for (int knot = 0; knot < KNOTS; knot++) {
            assertEquals(first.get(knot), seen(yard, knot), "knot " + knot);
        }
        String all = String.join("", first);
        for (String word : List.of("got ", "refused", "on the way", "while it is being made")) {
            assertTrue(all.contains(word), word);
        }
    }

    /** What the constructors of a knot saw, and what each of its objects is afterwards. */
    private static String seen(Yard yard, int knot) {
        try (Rig rig = yard.rig("t")) {
            yard.type("Log").getField("made").setInt(null, 0);
            List<Integer> order =
                    IntStream.range(0, SIZE)
                            .boxed()
                            .collect(Collectors.toCollection(ArrayList::new));
            Collections.shuffle(order, new Random(knot));
            StringBuilder told = new StringBuilder();
            for (int i : order) {
                try {
                    told.append(rig.get(yard.type(name(knot, i)))).append(' ');
                } catch (RigException failure) {
                    told.append(failure.getMessage()).append(' ');
                }
            }
            return yard.log() + " | " + told;
        } catch (ReflectiveOperationException fault) {
            throw new IllegalStateException(fault);
        }
    }

    private static String name(int knot, int i) {
        return "K" + knot + "C" + i;
    }

    /** A class that is given some of a higher number, and may ask for any. */
    private void write(int knot, int i) {
        List<String> parameters = new ArrayList<>();
        StringBuilder asks = new StringBuilder();
        for (int j = 0; j < SIZE; j++) {
            int choice = random.nextInt(10);
            if (choice < 4 && j > i) {
                parameters.add(name(knot, j) + " c" + j);
            } else if (choice < 7) {
                parameters.add("Supplier<" + name(knot, j) + "> c" + j);
                if (random.nextInt(3) > 0) {
                    asks.append("ask(c" + j + ", " + (random.nextInt(3) > 0) + "); ");
                }
            }
        }
        Collections.shuffle(parameters, random);
        boolean open = random.nextInt(5) > 0;
        java.append(open ? "package p; import java.util.function.Supplier;\npublic " : "")
                .append("class " + name(knot, i) + " extends Log.Noted { public ")
                .append(name(knot, i) + "(" + String.join(", ", parameters) + ") { ")
                .append(asks + "} }\n");
        boolean fresh = asks.isEmpty() && random.nextInt(3) == 0;
        bindings.append(
                "  %s: { class: %1$s, lifetime: %s }%n,"
                        .formatted(name(knot, i), fresh ? "fresh" : "shared"));
    }
}
