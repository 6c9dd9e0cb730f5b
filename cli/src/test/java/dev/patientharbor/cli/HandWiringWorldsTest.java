package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.notation.HandWiringDraft;
import dev.patientharbor.notation.ProfileDrafts;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import dev.patientharbor.survey.HandOver;
import dev.patientharbor.testing.JavaCode;
import java.lang.reflect.Field;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Random wirings are run, and the profile that is read from their bytecode is built: both are
 * walked.
 */
class HandWiringWorldsTest {

    private static final int WORLDS = 40;
    private static final int CONTRACTS = 4;
    private static final int CONSUMERS = 5;

    @TempDir private Path folder;

    /**
     * Makes a world: contracts, two implementations and a decorator of each, consumers, a wiring.
     */
    private static final class World {
        private final Random random;
        private final StringBuilder source = new StringBuilder();
        private final StringBuilder body = new StringBuilder();
        private final Map<Integer, List<String>> objects = new HashMap<>();
        private int names;

        World(long seed) {
            random = new Random(seed);
            for (int i = 0; i < CONTRACTS; i++) {
                type("interface C" + i + " {}");
                String needs = i == 0 ? "" : "C" + random.nextInt(i) + " c, ";
                implementation("A" + i, i, needs + "int n");
                implementation("B" + i, i, "String s");
                implementation("D" + i, i, "C" + i + " of");
            }
            for (int i = 0; i < CONSUMERS; i++) {
                implementation("E" + i, -1, needs());
            }
            for (int i = 0; i < CONSUMERS; i++) {
                consumer(i);
            }
            String all =
                    IntStream.range(0, CONSUMERS)
                            .mapToObj(i -> "e" + i)
                            .collect(Collectors.joining(", "));
            source.append("package w;\nimport java.util.*;\npublic class Wiring { ")
                    .append("public static Object[] wire() {\n")
                    .append(body)
                    .append("return new Object[] {" + all + "}; } }\n");
        }

        private void type(String text) {
            source.append("package w;\npublic ").append(text).append('\n');
        }

        private final Map<String, String> parameters = new LinkedHashMap<>();

        private void implementation(String name, int contract, String takes) {
            parameters.put(name, takes);
            List<String> each = Arrays.asList(takes.split(", "));
            String fields =
                    each.stream().map(p -> "public " + p + ";").collect(Collectors.joining(" "));
            String puts =
                    each.stream()
                            .map(p -> p.substring(p.lastIndexOf(' ') + 1))
                            .map(p -> "this." + p + " = " + p + ";")
                            .collect(Collectors.joining(" "));
            type(
                    "class "
                            + name
                            + (contract < 0 ? "" : " implements C" + contract)
                            + " { "
                            + fields
                            + " public "
                            + name
                            + "("
                            + takes
                            + ") { "
                            + puts
                            + " } }");
        }

        private String needs() {
            List<String> needs = new ArrayList<>();
            for (int i = 0; i < CONTRACTS; i++) {
                String contract = "C" + i;
                switch (random.nextInt(6)) {
                    case 0 -> needs.add("java.util.List<" + contract + "> l" + i);
                    case 1 -> needs.add("java.util.function.Supplier<" + contract + "> s" + i);
                    case 2 -> needs.add("java.util.Optional<" + contract + "> o" + i);
                    case 3 -> needs.add(contract + " c" + i);
                    default -> {}
                }
            }
            if (needs.isEmpty()) {
                needs.add("C0 c0");
            }
            needs.add("int n");
            return String.join(", ", needs);
        }

        /** An object that was made before, or a new one. */
        private String object(int contract) {
            List<String> made = objects.computeIfAbsent(contract, key -> new ArrayList<>());
            if (!made.isEmpty() && random.nextInt(3) > 0) {
                return made.get(random.nextInt(made.size()));
            }
            String name = "v" + names++;
            String kind = "ABBD".substring(random.nextInt(4)).substring(0, 1);
            String arguments =
                    switch (kind) {
                        case "A" ->
                                (contract == 0
                                                ? ""
                                                : object(
                                                                Character.digit(
                                                                        parameters
                                                                                .get("A" + contract)
                                                                                .charAt(1),
                                                                        10))
                                                        + ", ")
                                        + random.nextInt(2);
                        case "B" -> "\"s" + random.nextInt(2) + "\"";
                        default -> object(contract);
                    };
            body.append(
                    "C" + contract + " " + name + " = new " + kind + contract + "(" + arguments
                            + ");\n");
            made.add(name);
            return name;
        }

        private void consumer(int number) {
            List<String> given = new ArrayList<>();
            for (String each : parameters.get("E" + number).split(", ")) {
                String type = each.substring(0, each.indexOf(' '));
                int contract =
                        type.equals("int")
                                ? 0
                                : Character.digit(
                                        type.replaceAll(".*C(\\d).*", "$1").charAt(0), 10);
                given.add(
                        type.equals("int")
                                ? String.valueOf(random.nextInt(5))
                                : type.startsWith("java.util.List")
                                        ? "List.of("
                                                + object(contract)
                                                + ", "
                                                + object(contract)
                                                + ")"
                                        : type.startsWith("java.util.Opt")
                                                ? random.nextBoolean()
                                                        ? "Optional.of(" + object(contract) + ")"
                                                        : "Optional.empty()"
                                                : type.startsWith("java.util.fun")
                                                        ? "() -> " + object(contract)
                                                        : object(contract));
            }
            body.append(
                    "E"
                            + number
                            + " e"
                            + number
                            + " = new E"
                            + number
                            + "("
                            + String.join(", ", given)
                            + ");\n");
        }
    }

    /** All objects from some on, each with a number, and what their fields hold. */
    private static List<String> walk(List<Object> roots) throws IllegalAccessException {
        Map<Object, Integer> numbers = new IdentityHashMap<>();
        List<Object> open = new ArrayList<>();
        for (Object root : roots) {
            numbers.put(root, open.size());
            open.add(root);
        }
        List<String> found = new ArrayList<>();
        for (int i = 0; i < open.size(); i++) {
            Object object = open.get(i);
            Field[] fields = object.getClass().getFields();
            Arrays.sort(fields, Comparator.comparing(Field::getName));
            for (Field field : fields) {
                List<String> held = new ArrayList<>();
                for (Object each : parts(field.get(object))) {
                    boolean isOurs = each.getClass().getName().startsWith("w.");
                    if (isOurs && numbers.putIfAbsent(each, open.size()) == null) {
                        open.add(each);
                    }
                    held.add(
                            isOurs
                                    ? each.getClass().getName() + '#' + numbers.get(each)
                                    : each.toString());
                }
                found.add(
                        object.getClass().getName()
                                + '#'
                                + i
                                + '.'
                                + field.getName()
                                + " = "
                                + held);
            }
        }
        return found;
    }

    private static Collection<?> parts(Object value) {
        if (value instanceof Supplier<?> supplier) {
            return List.of(supplier.get());
        }
        if (value instanceof java.util.Optional<?> optional) {
            return optional.stream().toList();
        }
        return value instanceof Collection<?> all ? all : List.of(value);
    }

    @Test
    void what_is_said_to_be_the_same_is_the_same_object_for_object() throws Exception {
        int same = 0;
        int all = 0;
        int right = 0;
        for (int seed = 0; seed < WORLDS; seed++) {
            Path code = JavaCode.compile(new World(seed).source.toString());
            HandWiringDraft draft =
                    ProfileDrafts.from(List.of(code.toString()), folder, "w.Wiring#wire");
            List<HandOver> handOvers = draft.handOvers().get("main");
            all += handOvers.size();
            right += handOvers.stream().filter(HandOver::isSame).count();
            assertTrue(handOvers.stream().allMatch(HandOver::isUnderstood), draft.draft().text());
            // What one profile cannot say is told, and then nothing is promised.
            if (!draft.isSame() || !draft.draft().isComplete()) {
                assertFalse(
                        draft.isSame(),
                        draft.draft().remarks() + draft.draft().text() + new World(seed).body);
                continue;
            }
            same++;
            Path file =
                    Files.writeString(
                            folder.resolve("w" + seed + ".harbor.yaml"), draft.draft().text());
            try (URLClassLoader loader = new URLClassLoader(new URL[] {JavaCode.url(code)})) {
                Object[] wired =
                        (Object[]) loader.loadClass("w.Wiring").getMethod("wire").invoke(null);
                try (Rig rig = Rigs.build(ProfileFiles.read(file).plan("main"), loader)) {
                    List<Object> built = new ArrayList<>();
                    for (Object each : wired) {
                        built.add(rig.get(each.getClass()));
                    }
                    assertEquals(walk(Arrays.asList(wired)), walk(built), draft.draft().text());
                }
            }
        }
        assertTrue(same * 2 > WORLDS, same + " of " + WORLDS + " worlds are the same");
        assertTrue(right * 100 > 95 * all, right + " of " + all + " hand-overs are the same");
    }
}
