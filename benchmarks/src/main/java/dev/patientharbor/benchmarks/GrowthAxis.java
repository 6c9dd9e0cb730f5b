package dev.patientharbor.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** One thing of which a set may have many, and a set that has so many of it. */
enum GrowthAxis {
    BINDINGS(1000) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            for (int i = 0; i < n; i++) {
                code.contract("K" + i);
                code.type("C" + i, "K" + i, List.of());
                code.type("D" + i, "", List.of("K" + i));
            }
            sheet.entries(n, i -> "D" + i);
            sheet.profile("a", "bindings: { " + all(n, i -> "K" + i + ": C" + i) + " }");
        }
    },
    KEYS(500) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            code.contract("K");
            for (int i = 0; i < n; i++) {
                code.type("C" + i, "K", List.of());
                code.keyed("D" + i, List.of("K"), List.of("k" + i));
            }
            sheet.entries(n, i -> "D" + i);
            sheet.profile("a", "bindings: { " + all(n, i -> "K@k" + i + ": C" + i) + " }");
        }
    },
    SHARERS(1000) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            code.contract("K");
            code.type("C", "K", List.of());
            for (int i = 0; i < n; i++) {
                code.type("D" + i, "", List.of("K"));
            }
            sheet.entries(n, i -> "D" + i);
            sheet.profile("a", "bindings: { K: C }");
        }
    },
    CONSUMERS_OF_200_MEMBERS(250) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            members(200, n, code, sheet);
        }
    },
    MEMBERS(1000) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            members(n, 20, code, sheet);
        }
    },
    PROFILES(1000) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            for (int i = 0; i < 10; i++) {
                code.contract("K" + i);
                code.type("C" + i, "K" + i, List.of());
                code.type("E" + i, "K" + i, List.of());
                code.type("D" + i, "", List.of("K" + i));
            }
            sheet.entries(10, i -> "D" + i);
            sheet.profile("base", "bindings: { " + all(10, i -> "K" + i + ": C" + i) + " }");
            for (int i = 0; i < n; i++) {
                String own = "K" + i % 10 + ": E" + i % 10;
                sheet.profile("p" + i, "extends: base, bindings: { " + own + " }");
            }
        }
    },
    PROFILES_IN_A_CHAIN(500) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            two(code);
            sheet.entries(1, i -> "D");
            sheet.profile("p0", "bindings: { K: C }");
            for (int i = 1; i < n; i++) {
                String own = "bindings: { K: " + (i % 2 == 0 ? "C" : "E") + " }";
                sheet.profile("p" + i, "extends: p" + (i - 1) + ", " + own);
            }
        }
    },
    PARENTS_OF_ONE(1000) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            for (int i = 0; i < n; i++) {
                code.contract("K" + i);
                code.type("C" + i, "K" + i, List.of());
                code.type("D" + i, "", List.of("K" + i));
                String own = "bindings: { K" + i + ": C" + i + " }";
                sheet.profile("p" + i, "partial: true, " + own);
            }
            sheet.entries(n, i -> "D" + i);
            sheet.profile("all", "extends: [" + all(n, i -> "p" + i) + "]");
        }
    },
    DECORATORS_OF_A_SLOT(1000) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            two(code);
            for (int i = 0; i < n; i++) {
                code.type("W" + i, "K", List.of("K"));
            }
            sheet.entries(1, i -> "D");
            sheet.profile(
                    "a", "bindings: { K: C }, decorators: { K: [" + all(n, i -> "W" + i) + "] }");
        }
    },
    SUPPRESSIONS(500) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            unmet(n, code, sheet);
            sheet.line(
                    "suppress: ["
                            + all(n, i -> "{ id: unmet-need, at: K" + i + ", because: it is }")
                            + "]");
        }
    },
    UNMET_NEEDS(500) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            unmet(n, code, sheet);
        }
    },
    NEEDS_OF_ONE_CLASS(1000) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            for (int i = 0; i < n; i++) {
                code.contract("K" + i);
            }
            code.fields("D", IntStream.range(0, n).mapToObj(i -> "K" + i).toList());
            sheet.entries(1, i -> "D");
            sheet.profile("a", "bindings: { " + all(n / 2, i -> "K" + i + ": mock") + " }");
        }
    },
    UNKNOWN_CLASSES(500) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            for (int i = 0; i < n; i++) {
                code.contract("Contract" + i);
                code.type("Consumer" + i, "", List.of("Contract" + i));
            }
            sheet.entries(n, i -> "Consumer" + i);
            sheet.profile(
                    "a", "bindings: { " + all(n, i -> "Contract" + i + ": Contrat" + i) + " }");
        }
    },
    UNKNOWN_ENTRIES(1000) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            for (int i = 0; i < n; i++) {
                code.type("Consumer" + i, "", List.of("Consumer" + i));
            }
            sheet.entries(n, i -> "Consummer" + i);
            sheet.profile("a", "");
        }
    },
    UNKNOWN_PROFILES(1000) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            two(code);
            sheet.entries(1, i -> "D");
            for (int i = 0; i < n; i++) {
                sheet.profile("profile" + i, "extends: profil" + i + ", bindings: { K: C }");
            }
        }
    },
    RULES(500) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            BINDINGS.make(n, code, sheet);
            sheet.profile(
                    "b",
                    "extends: a, rules: { must-be-real: ["
                            + all(n, i -> "K" + i)
                            + "], never-real: ["
                            + all(n, i -> "K" + i)
                            + "], lifetimes: { "
                            + all(n, i -> "K" + i + ": shared")
                            + " } }");
        }
    },
    EXPECTATIONS(500) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            BINDINGS.make(n, code, sheet);
            sheet.profile(
                    "b",
                    "extends: a, expect: { "
                            + all(n, i -> "D" + i + ": { K" + i + ": C" + (i + i % 2) + " }")
                            + " }");
        }
    },
    SIDES(250) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            two(code);
            sheet.entries(1, i -> "D");
            for (int i = 0; i < n; i++) {
                MadeCode own = new MadeCode(code.folder().resolveSibling("side" + i));
                own.type("S" + i, "K", List.of());
                sheet.profile("p" + i, "code: [" + own.folder() + "], bindings: { K: S" + i + " }");
            }
        }
    },
    SERVICES(2000) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            code.contract("K");
            for (int i = 0; i < n; i++) {
                code.type("C" + i, "K", List.of());
            }
            code.ofMany("D", "K");
            Path services = code.folder().resolve("META-INF/services");
            Files.createDirectories(services);
            Files.writeString(
                    services.resolve("g.K"),
                    IntStream.range(0, n)
                            .mapToObj(i -> "g.C" + i)
                            .collect(Collectors.joining("\n")));
            sheet.entries(1, i -> "D");
            sheet.line("fill-in: [services]");
            sheet.profile("a", "");
        }
    },
    AREAS(250) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            two(code);
            for (int i = 0; i < n; i++) {
                code.type("D" + i, "", List.of("K"));
            }
            sheet.entries(n, i -> "D" + i);
            sheet.line("areas: { " + all(n, i -> "a" + i + ": { members: [D" + i + "] }") + " }");
            sheet.profile(
                    "a",
                    "bindings: { K: C }, within: { "
                            + all(n, i -> "a" + i + ": { bindings: { K: E } }")
                            + " }");
        }
    },
    SINGLE_CONSUMERS(500) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            two(code);
            for (int i = 0; i < n; i++) {
                code.type("D" + i, "", List.of("K"));
            }
            sheet.entries(n, i -> "D" + i);
            sheet.profile(
                    "a",
                    "bindings: { K: C }, within: { "
                            + all(n, i -> "D" + i + ": { bindings: { K: E } }")
                            + " }");
        }
    },
    ALIASES_IN_A_CHAIN(500) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            code.contract("K");
            code.type("C", "K", List.of());
            for (int i = 0; i < n; i++) {
                code.keyed("D" + i, List.of("K"), List.of("k" + i));
            }
            sheet.entries(n, i -> "D" + i);
            sheet.profile(
                    "a",
                    "bindings: { "
                            + all(n, i -> "K@k" + i + ": { same-as: K@k" + (i + 1) + " }")
                            + ", K@k"
                            + n
                            + ": C }");
        }
    },
    OBJECTS_DEEP(1000) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            for (int i = 0; i <= n; i++) {
                code.contract("K" + i);
                code.type("C" + i, "K" + i, i == n ? List.of() : List.of("K" + (i + 1)));
            }
            code.type("D", "", List.of("K0"));
            sheet.entries(1, i -> "D");
            sheet.profile("a", "bindings: { " + all(n + 1, i -> "K" + i + ": C" + i) + " }");
        }
    },
    CYCLES(500) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            for (int i = 0; i < n; i++) {
                code.contract("K" + i);
                code.type("C" + i, "K" + i, List.of("K" + (i % 2 == 0 ? i + 1 : i - 1)));
                code.type("D" + i, "", List.of("K" + i));
            }
            sheet.entries(n, i -> "D" + i);
            sheet.profile("a", "bindings: { " + all(n, i -> "K" + i + ": C" + i) + " }");
        }
    },
    INCLUDES(500) {
        @Override
        void make(int n, MadeCode code, Sheet sheet) throws IOException {
            two(code);
            sheet.entries(1, i -> "D");
            for (int i = 0; i < n; i++) {
                Files.writeString(
                        code.folder().resolveSibling("part" + i + ".yaml"),
                        "patient-harbor: 1\nprofiles: { p" + i + ": { bindings: { K: C } } }\n");
            }
            sheet.line("include: [" + all(n, i -> "part" + i + ".yaml") + "]");
        }
    };

    private final int least;

    GrowthAxis(int least) {
        this.least = least;
    }

    /** So many there are of it at least, so that the cost shows. */
    int least() {
        return least;
    }

    /** Makes a set with so many of it. */
    abstract void make(int n, MadeCode code, Sheet sheet) throws IOException;

    private static String all(int n, IntFunction<String> entry) {
        return IntStream.range(0, n).mapToObj(entry).collect(Collectors.joining(", "));
    }

    private static void two(MadeCode code) throws IOException {
        code.contract("K");
        code.type("C", "K", List.of());
        code.type("E", "K", List.of());
        code.type("D", "", List.of("K"));
    }

    private static void unmet(int n, MadeCode code, Sheet sheet) throws IOException {
        for (int i = 0; i < n; i++) {
            code.contract("K" + i);
            code.type("D" + i, "", List.of("K" + i));
        }
        sheet.entries(n, i -> "D" + i);
        sheet.profile("a", "");
    }

    private static void members(int members, int consumers, MadeCode code, Sheet sheet)
            throws IOException {
        code.contract("K");
        for (int i = 0; i < members; i++) {
            code.type("C" + i, "K", List.of());
        }
        for (int i = 0; i < consumers; i++) {
            code.ofMany("D" + i, "K");
        }
        sheet.entries(consumers, i -> "D" + i);
        sheet.profile("a", "bindings: { " + all(members, i -> "K@k" + i + ": C" + i) + " }");
    }

    /** A profile file under construction. */
    static final class Sheet {
        private final List<String> lines = new ArrayList<>();
        private final List<String> profiles = new ArrayList<>();

        void line(String line) {
            lines.add(line);
        }

        void entries(int n, IntFunction<String> entry) {
            line("entry: [" + all(n, entry) + "]");
        }

        void profile(String name, String words) {
            profiles.add("  " + name + ": { " + words + " }");
        }

        String text() {
            return "patient-harbor: 1\ncode: [code]\npackages: [g]\n"
                    + String.join("\n", lines)
                    + (profiles.isEmpty() ? "\n" : "\nprofiles:\n" + String.join("\n", profiles))
                    + "\n";
        }
    }
}
