package dev.patientharbor.page;

import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.testing.JavaCode;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;

/**
 * A page of many needs and profiles: consumers with ten needs each, of which profiles answer some
 * otherwise.
 */
final class LargePage {

    private static final int NEEDS = 10;
    private static final int CONTRACTS = 300;

    private LargePage() {}

    static String html(int needs, int profiles) {
        int consumers = needs / NEEDS;
        StringBuilder java = new StringBuilder("package p;\n");
        for (int i = 0; i < CONTRACTS; i++) {
            java.append("interface Contract" + i + " {}\n");
            java.append("record Real" + i + "() implements Contract" + i + " {}\n");
            java.append("record Fake" + i + "() implements Contract" + i + " {}\n");
        }
        StringBuilder yaml =
                new StringBuilder("patient-harbor: 1\ntitle: Large\npackages: [p]\nentry:\n");
        for (int i = 0; i < consumers; i++) {
            yaml.append("  - Consumer" + i + "_\n");
            java.append("class Consumer" + i + "_ { Consumer" + i + "_(");
            for (int j = 0; j < NEEDS; j++) {
                int contract = (i * NEEDS + j * 7) % CONTRACTS;
                java.append((j > 0 ? ", " : "") + "Contract" + contract + " need" + j);
            }
            java.append(") {} }\n");
        }
        yaml.append("profiles:\n  base:\n    partial: true\n    bindings:\n");
        for (int i = 0; i < CONTRACTS; i++) {
            yaml.append("      Contract" + i + ": Real" + i + "\n");
        }
        for (int profile = 0; profile < profiles; profile++) {
            yaml.append("  profile" + profile + ":\n    extends: base\n    bindings:\n");
            for (int i = profile; i < CONTRACTS; i += 7 + profile) {
                yaml.append(
                        "      Contract"
                                + i
                                + ": "
                                + (i % 2 == 0 ? "mock" : "{ fake: Fake" + i + " }")
                                + "\n");
            }
        }
        Path classes = JavaCode.compile(java.toString(), "-parameters");
        return ReportPage.render(
                ProfileFiles.parse(
                                yaml.toString().getBytes(StandardCharsets.UTF_8),
                                "large",
                                Path.of(""))
                        .withCode(classes)
                        .check(LocalDate.EPOCH));
    }
}
