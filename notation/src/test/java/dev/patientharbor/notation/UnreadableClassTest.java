package dev.patientharbor.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A profile is not complete while a class cannot be read that its answers were looked for in. */
class UnreadableClassTest {

    private static final String JAVA =
            """
            package p;
            public interface Light { void shine(); }
            package p;
            public class GasLight implements Light { public void shine() {} }
            package p;
            public class OilLight extends GasLight {}
            package p;
            public interface Bell {}
            package p;
            public class BrassBell implements Bell {}
            package p;
            public class Post { @jakarta.inject.Inject Bell bell; }
            package p;
            public class Tower extends Post { public Tower(Light light) {} }
            package p;
            public class Pier { public Pier(Bell bell) {} }
            package p;
            public class Shed {}
            """;

    private static final String PROFILES = "profiles: { a: { bindings: { Bell: BrassBell%s } } }\n";

    /** How the file takes classes in, the class that is cut off, and what is told besides. */
    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "a pattern,       'entry: [p.*]',                    Pier,     answer-in-doubt, ''",
        "a superclass,    'entry: [Tower]',                  Post,     answer-in-doubt, ''",
        "fill-in,         'entry: [Tower]\nfill-in: [sole]', OilLight, answer-in-doubt, sole",
        "a binding,       'entry: [Tower]',                  GasLight, answer-in-doubt, ''",
        "nothing at all,  'entry: [Tower]',                  Shed,     '',              ''",
    })
    void breaks_completeness_where_it_might_be_taken_in(
            String what, String head, String cut, String told, String light) throws IOException {
        Path code = JavaCode.compileAnew(JAVA);
        Path file = code.resolve("p/" + cut + ".class");
        Files.write(file, Arrays.copyOf(Files.readAllBytes(file), 40));
        String bound = light.isEmpty() ? ", Light: GasLight" : "";
        Situation situation = Situation.of(code, head + "\n" + String.format(PROFILES, bound));
        ProfileVerdict profile = situation.verdict().profiles().get(0);
        assertEquals(Optional.of(told.isEmpty()), profile.complete(), what);
        assertEquals(told.isEmpty() ? "[]" : "[1 " + told + "]", situation.told().toString(), what);
    }
}
