package dev.patientharbor.code;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.testing.JavaCode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Class files stay closed until somebody asks; what is answered does not depend on who did. */
class ReadOnDemandTest {

    private static final FactsRequest REQUEST = FactsRequest.of(true, java.util.Set.of());

    private static CodePlaces open(Path... places) {
        return CodeReader.open(
                Arrays.stream(places)
                        .map(
                                path ->
                                        new CodeRoot(
                                                new WrittenName(
                                                        path.toString(),
                                                        SourcePosition.startOf("here")),
                                                path))
                        .toList(),
                REQUEST);
    }

    /** The classes that extend or implement one, directly or not. */
    private static Set<ClassFacts> below(String name, Collection<ClassFacts> classes) {
        Set<String> names = new HashSet<>(Set.of(name));
        Set<ClassFacts> below = new HashSet<>();
        int known;
        do {
            known = names.size();
            for (ClassFacts facts : classes) {
                if (facts.superName().filter(names::contains).isPresent()
                        || facts.interfaces().stream().anyMatch(names::contains)) {
                    names.add(facts.name());
                    below.add(facts);
                }
            }
        } while (names.size() > known);
        return below;
    }

    private record Counted(ClassFile file, AtomicInteger reads) implements ClassFile {
        @Override
        public String name() {
            return file.name();
        }

        @Override
        public String place() {
            return file.place();
        }

        @Override
        public byte[] bytes(SizeLimit limit) throws IOException {
            reads.incrementAndGet();
            return file.bytes(limit);
        }
    }

    @Test
    void
            sixty_four_threads_ask_one_index_and_each_file_is_read_once_for_facts_and_once_for_supertypes()
                    throws Exception {
        Path jar = RealClasses.ofTheBuild().get(0);
        OpenJar open = OpenJar.of(jar, "real.jar", new ReadCount());
        Map<String, AtomicInteger> reads = new ConcurrentHashMap<>();
        List<CodeEntry> entries = new ArrayList<>();
        for (int entry : WantedEntries.of(open).classes()) {
            AtomicInteger count = new AtomicInteger();
            String name = PackageStart.of(List.of()).className(open.path(entry));
            reads.put(name, count);
            entries.add(new CodeEntry(name, new Counted(open.file(entry), count)));
        }
        ClassTable table =
                new ClassTable(
                        new NameTable(List.of(new NamedEntries(entries))),
                        List.of(),
                        REQUEST,
                        new JdkClasses(REQUEST.ofJdk()));
        CodeIndex index = new CodeIndex(table, new LookedAt(), List.of());
        List<String> names = List.copyOf(reads.keySet());
        Map<String, ClassFacts> first = new ConcurrentHashMap<>();
        Callable<Integer> asker =
                () -> {
                    List<String> mine = new ArrayList<>(names);
                    Collections.shuffle(mine);
                    for (String name : mine.subList(0, mine.size() / 2)) {
                        ClassFacts facts = index.find(name).orElseThrow();
                        ClassFacts known = first.putIfAbsent(name, facts);
                        assertSame(known == null ? facts : known, facts);
                    }
                    return index.subtypesOf("java.lang.Object").size();
                };
        ExecutorService pool = Executors.newFixedThreadPool(64);
        try {
            for (Future<Integer> answer : pool.invokeAll(Collections.nCopies(64, asker))) {
                assertEquals(names.size(), answer.get() + interfaces(index), "subtypes of Object");
            }
        } finally {
            pool.shutdownNow();
        }
        reads.forEach((name, count) -> assertTrue(count.get() <= 2, name + " " + count));
        assertTrue(reads.values().stream().anyMatch(count -> count.get() == 1));
    }

    /** What the class file of an interface names as its superclass is Object as well. */
    private static int interfaces(CodeIndex index) {
        return (int)
                index.classes().stream()
                        .filter(facts -> facts.superName().isPresent())
                        .filter(facts -> !isOfObject(index, facts))
                        .count();
    }

    private static boolean isOfObject(CodeIndex index, ClassFacts facts) {
        for (Optional<String> above = facts.superName(); above.isPresent(); ) {
            if (above.get().equals("java.lang.Object")) {
                return true;
            }
            above =
                    index.inCode(above.get())
                            ? index.find(above.get()).flatMap(ClassFacts::superName)
                            : Optional.empty();
        }
        return false;
    }

    @Test
    void what_is_answered_does_not_depend_on_what_was_asked_before() {
        Path[] jars = RealClasses.ofTheBuild().toArray(Path[]::new);
        CodePlaces read = open(jars);
        read.readAll();
        CodeIndex all = read.whole();
        List<String> names = all.names().stream().sorted().toList();
        Random random = new Random(7);
        CodePlaces lazy = open(jars);
        CodeIndex index = lazy.whole();
        List<Function<CodeIndex, Object>> questions = new ArrayList<>();
        for (int i = 0; i < 400; i++) {
            String name = names.get(random.nextInt(names.size()));
            questions.add(code -> code.find(name));
            String packageName = ClassFacts.packageOf(name);
            questions.add(code -> code.inPackage(ClassPattern.of(packageName + ".*")));
        }
        for (Function<CodeIndex, Object> question : questions) {
            assertEquals(question.apply(all), question.apply(index));
        }
        assertTrue(lazy.lookedAt() < names.size(), lazy.lookedAt() + " of " + names.size());
        for (int i = 0; i < 40; i++) {
            String name = names.get(random.nextInt(names.size()));
            assertEquals(all.subtypesOf(name), index.subtypesOf(name), name);
        }
        assertTrue(lazy.lookedAt() < names.size(), "of most the supertypes alone");
        assertEquals(all.classes().size(), index.classes().size());
        assertEquals(names.size(), lazy.lookedAt());
        assertEquals(0, lazy.anew().lookedAt(), "another check has not looked");
    }

    @Test
    void subtypes_are_those_of_the_classes_that_can_be_read_however_damaged_others_are()
            throws IOException {
        long seed = 20261130;
        Random random = new Random(seed);
        StringBuilder source = new StringBuilder("package p;\ninterface T0 {}\n");
        for (int i = 1; i < 30; i++) {
            // Every third one is an interface.
            String above = "T" + 3 * random.nextInt((i + 2) / 3);
            source.append(i % 3 == 0 ? "interface T" + i + " extends " : "class T" + i + " ");
            source.append(i % 3 == 2 ? "extends T" + (i - 1) + " implements " : "");
            source.append(i % 3 == 1 ? "implements " : "").append(above);
            source.append(" { default void m").append(i).append("() {} }\n");
        }
        Path sound = JavaCode.compile(source.toString().replaceAll("(class.*)default", "$1public"));
        for (int world = 0; world < 60; world++) {
            int hopeless = 0;
            Path code = JavaCode.newFolder();
            Files.createDirectory(code.resolve("p"));
            for (int i = 0; i < 30; i++) {
                byte[] bytes = Files.readAllBytes(sound.resolve("p/T" + i + ".class"));
                if (random.nextInt(4) == 0) {
                    bytes = Arrays.copyOf(bytes, random.nextInt(bytes.length));
                    hopeless += bytes.length < 40 ? 1 : 0;
                }
                Files.write(code.resolve("p/T" + i + ".class"), bytes);
            }
            String name = "p.T" + random.nextInt(30);
            CodePlaces read = open(code);
            read.readAll();
            CodePlaces lazy = open(code);
            String where = "seed " + seed + ", world " + world + ", " + name;
            assertEquals(
                    below(name, read.whole().classes()),
                    Set.copyOf(lazy.whole().subtypesOf(name)),
                    where);
            assertTrue(read.findings().containsAll(lazy.findings()), where);
            assertTrue(lazy.findings().size() >= hopeless, where);
        }
    }

    @ParameterizedTest
    @CsvSource({
        // where the folder starts, what is asked for, whether it is found
        ".,              p.q.Gauge,   true",
        "p,              p.q.Gauge,   true",
        "p/q,            p.q.Gauge,   true",
        "p/q,            Gauge,       false",
        "..,             p.q.Gauge,   true",
        "..,             p.q.Missing, false"
    })
    void packages_may_start_further_in_or_further_out_than_the_folder(
            String from, String name, boolean isFound) {
        Path classes = JavaCode.compileAnew("package p.q;\npublic interface Gauge {}\n");
        // The folder above it holds nothing else.
        Path alone = JavaCode.newFolder();
        Path code = alone.resolve("classes");
        try {
            Files.move(classes, code);
        } catch (IOException fault) {
            throw new IllegalStateException(fault);
        }
        CodePlaces places = open(code.resolve(from).normalize());
        assertEquals(isFound, places.whole().find(name).isPresent());
        assertEquals(List.of(), places.findings());
    }

    @Test
    void a_class_that_stands_where_another_one_would_be_is_reported_when_somebody_looks()
            throws IOException {
        Path classes = JavaCode.compileAnew("package p;\nclass A {}\nclass B {}\nclass C {}\n");
        Files.move(classes.resolve("p/C.class"), classes.resolve("p/Other.class"));
        CodePlaces places = open(classes);
        CodeIndex code = places.whole();
        assertTrue(code.find("p.A").isPresent());
        assertEquals(Optional.empty(), code.find("p.C"), "no class loader finds it there");
        assertEquals(List.of(), places.findings());
        assertEquals(Optional.empty(), code.find("p.Other"));
        assertEquals(
                List.of("it holds p.C, and stands where p.Other would be"),
                places.findings().stream()
                        .map(Finding::message)
                        .map(message -> message.replaceFirst("(?s).*read: (.*)\\.$", "$1"))
                        .toList());
        assertEquals(2, places.lookedAt(), "a name without a file is nothing to look at");
    }
}
