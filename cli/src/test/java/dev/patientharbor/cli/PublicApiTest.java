package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Field;
import java.lang.reflect.GenericArrayType;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.lang.reflect.TypeVariable;
import java.lang.reflect.WildcardType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What users may rely on is what descriptors export to everyone, and it shows nothing else. */
class PublicApiTest {

    @Test
    void what_users_may_rely_on_shows_nothing_internal() {
        Set<String> exported = new HashSet<>(PublicApi.packages());
        TreeSet<String> leaks = new TreeSet<>();
        for (Class<?> type : PublicApi.types()) {
            for (Member member : members(type)) {
                Set<Class<?>> shown = new HashSet<>();
                member.types().forEach(shownType -> addClasses(shownType, shown));
                if (shown.stream().anyMatch(used -> isInternal(used, exported))) {
                    leaks.add(PublicApi.name(type, member.name()));
                }
            }
        }
        assertEquals(new TreeSet<>(PublicApi.BETWEEN_MODULES), leaks);
    }

    @Test
    void doors_between_our_modules_say_that_they_are_for_nobody_else() throws IOException {
        Map<String, Long> doorsOfType =
                PublicApi.BETWEEN_MODULES.stream()
                        .collect(
                                Collectors.groupingBy(
                                        door -> door.substring(0, door.indexOf('#')),
                                        Collectors.counting()));
        // A recording is one door, its constructor and its answers together.
        doorsOfType.put("plan.SlotRecording", 1L);
        for (Map.Entry<String, Long> doors : doorsOfType.entrySet()) {
            Path source =
                    Path.of("..", "core", "src", "main", "java")
                            .resolve("dev/patientharbor")
                            .resolve(doors.getKey().replace('.', '/') + ".java");
            long said =
                    Pattern.compile("For\\s+(\\*\\s+)?our\\s+(\\*\\s+)?own\\s+(\\*\\s+)?modules")
                            .matcher(Files.readString(source))
                            .results()
                            .count();
            assertEquals(doors.getValue(), said, doors.getKey());
        }
    }

    @Test
    void every_package_says_whether_it_is_stable() throws IOException {
        Set<String> exported = new HashSet<>(PublicApi.packages());
        for (Path info : PublicApi.packageInfos()) {
            String text = Files.readString(info).replaceAll("\\s+\\*?\\s*", " ");
            String name = PublicApi.OURS + info.getParent().getFileName();
            boolean isApplication = info.startsWith(Path.of("..", "cli"));
            assertEquals(exported.contains(name), text.contains("Stable."), name);
            assertEquals(
                    !exported.contains(name) && !isApplication,
                    text.contains("Internal: may change."),
                    name);
        }
    }

    @Test
    void the_check_of_compatibility_looks_at_what_is_exported() throws IOException {
        List<String> compared =
                Pattern.compile("<include>(dev\\.patientharbor\\.\\w+)</include>")
                        .matcher(Files.readString(Path.of("..", "pom.xml")))
                        .results()
                        .map(found -> found.group(1))
                        .toList();
        assertEquals(PublicApi.packages(), compared);
    }

    @Test
    void what_users_may_rely_on_is_as_it_was_accepted() throws IOException {
        List<String> lines = new ArrayList<>();
        PublicApi.allTypes().stream()
                .sorted(Comparator.comparing(Class::getName))
                .forEach(
                        type -> {
                            lines.add(declaration(type));
                            callables(type).stream()
                                    .sorted()
                                    .map(line -> "    " + line)
                                    .forEach(lines::add);
                        });
        Path accepted = Path.of("..", "docs", "public-interface.txt");
        if (Boolean.getBoolean("patientharbor.rewrite")) {
            Files.write(accepted, lines);
        }
        List<String> before = Files.readAllLines(accepted);
        String advice =
                "if it is meant, run with -Dpatientharbor.rewrite=true; a line that goes may break"
                        + " whoever was compiled against it";
        assertEquals(List.of(), without(before, lines), "gone: " + advice);
        assertEquals(List.of(), without(lines, before), "new: " + advice);
        assertEquals(before, lines);
    }

    private static List<String> without(List<String> lines, List<String> others) {
        Set<String> known = new HashSet<>(others);
        return lines.stream().filter(line -> !known.contains(line)).toList();
    }

    private static String declaration(Class<?> type) {
        String above =
                Stream.concat(
                                Stream.ofNullable(type.getGenericSuperclass()),
                                Arrays.stream(type.getGenericInterfaces()))
                        .map(Type::getTypeName)
                        .collect(Collectors.joining(", ", " : ", ""));
        return type.toGenericString() + above;
    }

    /** What may be called or read, as the language writes it. */
    private static List<String> callables(Class<?> type) {
        List<String> all = new ArrayList<>();
        Arrays.stream(type.getDeclaredMethods())
                .filter(call -> isPublic(call.getModifiers()) && !call.isSynthetic())
                .forEach(call -> all.add(call.toGenericString()));
        Arrays.stream(type.getDeclaredConstructors())
                .filter(call -> isPublic(call.getModifiers()) && !call.isSynthetic())
                .forEach(call -> all.add(call.toGenericString()));
        Arrays.stream(type.getDeclaredFields())
                .filter(field -> isPublic(field.getModifiers()))
                .forEach(field -> all.add(field.toGenericString()));
        return all;
    }

    private record Member(String name, List<Type> types) {}

    private static List<Member> members(Class<?> type) {
        Stream<Member> calls =
                Stream.concat(
                                Arrays.stream(type.getDeclaredMethods()),
                                Arrays.stream(type.getDeclaredConstructors()))
                        .filter(call -> isPublic(call.getModifiers()) && !call.isSynthetic())
                        .map(PublicApiTest::member);
        Stream<Member> fields =
                Arrays.stream(type.getDeclaredFields())
                        .filter(field -> isPublic(field.getModifiers()))
                        .map(PublicApiTest::member);
        Stream<Member> supertypes =
                Stream.of(
                        new Member(
                                "extends",
                                Stream.concat(
                                                Stream.ofNullable(type.getGenericSuperclass()),
                                                Arrays.stream(type.getGenericInterfaces()))
                                        .toList()));
        return Stream.of(calls, fields, supertypes).flatMap(member -> member).toList();
    }

    private static Member member(Executable call) {
        Type returned = call instanceof Method method ? method.getGenericReturnType() : void.class;
        return new Member(
                call instanceof Constructor<?> ? "new" : call.getName(),
                Stream.of(
                                Stream.of(returned),
                                Arrays.stream(call.getGenericParameterTypes()),
                                Arrays.stream(call.getGenericExceptionTypes()))
                        .flatMap(type -> type)
                        .toList());
    }

    private static Member member(Field field) {
        return new Member(field.getName(), List.of(field.getGenericType()));
    }

    private static boolean isPublic(int modifiers) {
        return Modifier.isPublic(modifiers) || Modifier.isProtected(modifiers);
    }

    private static boolean isInternal(Class<?> type, Set<String> exported) {
        return type.getName().startsWith(PublicApi.OURS)
                && !(exported.contains(type.getPackageName()) && PublicApi.isVisible(type));
    }

    private static void addClasses(Type type, Set<Class<?>> to) {
        if (type instanceof Class<?> plain) {
            to.add(plain.isArray() ? plain.getComponentType() : plain);
        } else if (type instanceof ParameterizedType with) {
            addClasses(with.getRawType(), to);
            Arrays.stream(with.getActualTypeArguments()).forEach(given -> addClasses(given, to));
        } else if (type instanceof WildcardType wildcard) {
            Arrays.stream(wildcard.getUpperBounds()).forEach(bound -> addClasses(bound, to));
            Arrays.stream(wildcard.getLowerBounds()).forEach(bound -> addClasses(bound, to));
        } else if (type instanceof GenericArrayType array) {
            addClasses(array.getGenericComponentType(), to);
        } else if (type instanceof TypeVariable<?> variable) {
            Arrays.stream(variable.getBounds())
                    .filter(bound -> bound instanceof Class<?>)
                    .forEach(bound -> addClasses(bound, to));
        }
    }
}
