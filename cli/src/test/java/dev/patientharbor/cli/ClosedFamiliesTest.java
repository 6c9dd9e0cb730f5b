package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import dev.patientharbor.assembly.AssemblyArgument;
import dev.patientharbor.assembly.AssemblyPart;
import dev.patientharbor.assembly.DecoratorLayer;
import dev.patientharbor.assembly.ObjectMaking;
import dev.patientharbor.finding.FindingKind;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.model.BuiltIn;
import dev.patientharbor.model.GivenValue;
import dev.patientharbor.model.Supply;
import dev.patientharbor.model.SupplyForm;
import dev.patientharbor.notation.ProfileFiles;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.survey.TouchKind;
import dev.patientharbor.terms.FillInSource;
import dev.patientharbor.terms.ImplementationKind;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.ReachRange;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.WrittenName;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.Field;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Whoever adds one more to a closed set of kinds is stopped by the compiler, or here. */
class ClosedFamiliesTest {

    private static final Path ROOT = Path.of("..");
    private static final SourcePosition AT = SourcePosition.startOf("here");

    private static final ObjectMaking.Constructed MAKING =
            new ObjectMaking.Constructed("p.Fee", "()V", List.of(), List.of());

    /** A value for each type of a component of the records below. */
    private static final Map<Class<?>, Object> SAMPLES =
            Map.ofEntries(
                    Map.entry(ImplementationKind.class, ImplementationKind.FAKE),
                    Map.entry(WrittenName.class, new WrittenName("p.Fee", AT)),
                    Map.entry(GivenValue.class, new GivenValue.Text("1", AT)),
                    Map.entry(Slot.class, Slot.of("p.Fee")),
                    Map.entry(TypeRef.class, TypeRef.of("p.Fee")),
                    Map.entry(Duration.class, Duration.ofMillis(5)),
                    Map.entry(BuiltIn.When.class, new BuiltIn.When.Every(3)),
                    Map.entry(Supplier.class, (Supplier<?>) () -> 1),
                    Map.entry(Optional.class, Optional.empty()),
                    Map.entry(List.class, List.of()),
                    Map.entry(String.class, "text"),
                    Map.entry(Object.class, 1),
                    Map.entry(int.class, 1),
                    Map.entry(boolean.class, true),
                    Map.entry(Lifetime.class, Lifetime.SHARED),
                    Map.entry(AnswerKind.class, AnswerKind.REAL),
                    Map.entry(
                            Answer.Seat.class, new Answer.Seat(Slot.of("p.Fee"), Optional.empty())),
                    Map.entry(BuiltIn.class, new BuiltIn.Spy()),
                    Map.entry(ObjectMaking.class, MAKING),
                    Map.entry(ObjectMaking.Constructed.class, MAKING));

    private static <T> List<T> samples(Class<T> family) throws ReflectiveOperationException {
        List<T> all = new ArrayList<>();
        for (Class<?> member : family.getPermittedSubclasses()) {
            RecordComponent[] parts = member.getRecordComponents();
            Class<?>[] types =
                    Arrays.stream(parts).map(RecordComponent::getType).toArray(Class<?>[]::new);
            Object[] values = Arrays.stream(types).map(SAMPLES::get).toArray();
            all.add(family.cast(member.getDeclaredConstructor(types).newInstance(values)));
        }
        return all;
    }

    @Test
    void each_member_of_a_family_has_a_form_of_its_own() throws Exception {
        has(SupplyForm.values(), samples(Supply.class).stream().map(Supply::form));
        has(
                ObjectMaking.Form.values(),
                samples(ObjectMaking.class).stream().map(ObjectMaking::form));
        has(
                AssemblyPart.Form.values(),
                samples(AssemblyPart.class).stream().map(AssemblyPart::form));
        has(
                AssemblyArgument.Form.values(),
                samples(AssemblyArgument.class).stream().map(AssemblyArgument::form));
        has(
                DecoratorLayer.Form.values(),
                samples(DecoratorLayer.class).stream().map(DecoratorLayer::form));
    }

    private static void has(Enum<?>[] forms, Stream<? extends Enum<?>> found) {
        assertEquals(names(forms), found.map(Enum::name).sorted().toList());
    }

    private static List<String> names(Enum<?>[] constants) {
        return Arrays.stream(constants).map(Enum::name).sorted().toList();
    }

    @Test
    void each_built_in_decorator_is_known_by_its_word() throws Exception {
        assertEquals(
                new TreeSet<>(BuiltIn.NAMES),
                samples(BuiltIn.class).stream()
                        .map(BuiltIn::name)
                        .collect(Collectors.toCollection(TreeSet::new)));
    }

    @Test
    void every_constant_of_a_kind_of_finding_is_listed() throws IllegalAccessException {
        List<String> constants = new ArrayList<>();
        for (Field field : FindingKinds.class.getDeclaredFields()) {
            if (field.getType() == FindingKind.class) {
                constants.add(((FindingKind) field.get(null)).id());
            }
        }
        assertEquals(
                constants.stream().sorted().toList(),
                FindingKinds.all().stream().map(FindingKind::id).sorted().toList());
    }

    @Test
    void the_words_of_the_schema_are_those_of_the_code() throws IOException {
        Set<String> found = new TreeSet<>();
        try (InputStream schema = ProfileFiles.class.getResourceAsStream("harbor.schema.json")) {
            enumerations(new ObjectMapper().readTree(schema), found);
        }
        Set<String> words = new TreeSet<>(Set.of("1, 1")); // the version of the notation
        words.add(words(Severity.values(), Severity::word));
        words.add(words(TouchKind.values(), TouchKind::word));
        words.add(words(Lifetime.values(), Lifetime::word));
        words.add(words(FillInSource.values(), FillInSource::word));
        // With an area, up-to is a key; what is real needs no word, and a mock is no class.
        words.add(words(ReachRange.values(), ReachRange::word).replace(", up-to", ""));
        words.add(
                words(ImplementationKind.values(), ImplementationKind::word)
                        .replace("real, ", "")
                        .replace("mock, ", ""));
        assertEquals(words, found);
    }

    private static <E> String words(E[] constants, java.util.function.Function<E, String> word) {
        return Arrays.stream(constants).map(word).sorted().collect(Collectors.joining(", "));
    }

    private static void enumerations(JsonNode node, Set<String> to) {
        JsonNode words = node.get("enum");
        if (words != null && words.isArray()) {
            List<String> all = new ArrayList<>();
            words.forEach(word -> all.add(word.asText()));
            to.add(all.stream().sorted().collect(Collectors.joining(", ")));
        }
        node.forEach(child -> enumerations(child, to));
    }

    @Test
    void every_command_format_and_exit_code_stands_in_the_readme() throws IOException {
        String readme = Files.readString(ROOT.resolve("README.md"));
        for (ToolCommand command : ToolCommand.values()) {
            assertTrue(readme.contains("\n`" + command.word() + "`: "), command.word());
            var format = command.spec().findOption("--format");
            if (format != null) {
                List<String> formats = new ArrayList<>();
                format.completionCandidates().forEach(formats::add);
                for (String other : formats.subList(1, formats.size())) {
                    String line = "`" + command.word() + " --format " + other + "`";
                    assertTrue(readme.contains(line), line);
                }
            }
        }
        Matcher codes = Pattern.compile("(?m)^Exit codes: (.*)$").matcher(readme);
        assertTrue(codes.find());
        assertEquals(
                Arrays.stream(ExitCode.class.getDeclaredFields())
                        .map(ClosedFamiliesTest::code)
                        .sorted()
                        .toList(),
                Pattern.compile("\\b(\\d) ")
                        .matcher(codes.group(1))
                        .results()
                        .map(match -> match.group(1))
                        .sorted()
                        .toList());
    }

    private static String code(Field constant) {
        try {
            return Integer.toString(constant.getInt(null));
        } catch (IllegalAccessException hidden) {
            throw new IllegalStateException(hidden);
        }
    }

    /** Our sources, without tests, by their paths. */
    private static Map<String, String> sources() throws IOException {
        Map<String, String> sources = new TreeMap<>();
        for (String module :
                List.of("core", "notation", "rig", "mockito", "junit", "report", "page", "cli")) {
            Path folder = ROOT.resolve(module).resolve("src/main/java");
            try (Stream<Path> files = Files.walk(folder)) {
                for (Path file : files.filter(path -> path.toString().endsWith(".java")).toList()) {
                    sources.put(
                            folder.relativize(file).toString().replace('\\', '/'),
                            Files.readString(file));
                }
            }
        }
        return sources;
    }

    @Test
    void nobody_asks_which_member_of_a_sealed_family_it_is_but_the_family() throws IOException {
        Map<String, String> sources = sources();
        Pattern sealed = Pattern.compile("sealed interface (\\w+)");
        List<String> asked = new ArrayList<>();
        List<String> families = new ArrayList<>();
        sources.forEach(
                (home, source) -> {
                    Matcher family = sealed.matcher(source);
                    while (family.find()) {
                        String name = family.group(1);
                        families.add(name);
                        Matcher member =
                                Pattern.compile(
                                                "(?s)record (\\w+)\\([^{]*?implements "
                                                        + name
                                                        + "\\b")
                                        .matcher(source);
                        while (member.find()) {
                            Pattern question =
                                    Pattern.compile(
                                            "instanceof ([\\w.]*\\b"
                                                    + name
                                                    + "\\."
                                                    + member.group(1)
                                                    + "|"
                                                    + member.group(1)
                                                    + ")\\b(?!\\.)");
                            sources.forEach(
                                    (file, text) -> {
                                        boolean imports =
                                                text.contains("." + name + "." + member.group(1))
                                                        || text.contains(
                                                                "instanceof " + name + ".");
                                        if (!file.equals(home)
                                                && imports
                                                && question.matcher(text).find()) {
                                            asked.add(name + '.' + member.group(1) + ": " + file);
                                        }
                                    });
                        }
                    }
                });
        assertTrue(
                families.containsAll(
                        List.of("Supply", "ObjectMaking", "AssemblyPart", "GivenValue")));
        // The kinds of types are those of the language (JLS 4): there will be no other.
        asked.removeIf(name -> name.startsWith("TypeRef."));
        assertEquals(List.of(), asked);
    }

    @Test
    void a_default_stands_only_where_texts_and_signs_are_told_apart() throws IOException {
        Pattern otherwise = Pattern.compile("\\bdefault\\s*(->|:)");
        assertEquals(
                List.of(
                        "BuildReport",
                        "DeferredAccess",
                        "DurationText",
                        "GivenValues",
                        "InstructionMeaning",
                        "JdkCalls",
                        "JdkCollections",
                        "JoinedText",
                        "JumpCondition",
                        "LambdaCall",
                        "LambdaClass",
                        "MethodName",
                        "MethodRun",
                        "NumberMeaning",
                        "RecordMethod",
                        "ScalarText",
                        "SupplyReader",
                        "TextMeaning",
                        "TypeSignatures",
                        "UnrecordedBehaviour",
                        "UserClasses",
                        "VisibleText"),
                sources().entrySet().stream()
                        .filter(source -> otherwise.matcher(code(source.getValue())).find())
                        .map(source -> source.getKey().replaceAll(".*/|\\.java", ""))
                        .sorted()
                        .toList());
    }

    @Test
    void every_switch_is_an_expression_so_that_it_must_know_all_constants() throws IOException {
        Pattern after = Pattern.compile("(=|\\(|,|->|\\breturn|\\byield)\\s*$");
        List<String> statements = new ArrayList<>();
        sources()
                .forEach(
                        (file, source) -> {
                            String[] before = code(source).split("\\bswitch \\(", -1);
                            for (int i = 0; i < before.length - 1; i++) {
                                if (!after.matcher(before[i]).find()) {
                                    statements.add(file);
                                }
                            }
                        });
        assertEquals(List.of(), statements);
    }

    /** A source without its texts and comments. */
    private static String code(String source) {
        return source.replaceAll("\"[^\"\\\\\n]*+(?:\\\\.[^\"\\\\\n]*+)*+\"", "")
                .replaceAll("(?s)/\\*.*?\\*/", "")
                .replaceAll("//.*", "");
    }
}
