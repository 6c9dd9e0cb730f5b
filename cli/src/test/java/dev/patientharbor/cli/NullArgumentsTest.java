package dev.patientharbor.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.accepting.AcceptedLine;
import dev.patientharbor.accepting.AcceptedRoster;
import dev.patientharbor.check.RuleFault;
import dev.patientharbor.check.SuppressedFinding;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.comparing.RosterComparison;
import dev.patientharbor.comparing.RosterFilter;
import dev.patientharbor.explaining.SubjectFinder;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.graph.ObjectGraph;
import dev.patientharbor.notation.ProfileDraft;
import dev.patientharbor.observing.ObservedAnswer;
import dev.patientharbor.observing.ObservedRosters;
import dev.patientharbor.observing.ObservedUse;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerBuilder;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.plan.Roster;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.plan.SlotRecording;
import dev.patientharbor.profiles.AnswersDefinition;
import dev.patientharbor.profiles.DecoratorDefinition;
import dev.patientharbor.profiles.Plan;
import dev.patientharbor.profiles.ProfileSet;
import dev.patientharbor.profiles.Supplies;
import dev.patientharbor.profiles.Surveys;
import dev.patientharbor.report.AnswerText;
import dev.patientharbor.report.RosterJson;
import dev.patientharbor.report.SavedRosters;
import dev.patientharbor.report.TextLayout;
import dev.patientharbor.report.TextPainter;
import dev.patientharbor.rig.Contract;
import dev.patientharbor.rig.LookupFiller;
import dev.patientharbor.rig.Rig;
import dev.patientharbor.rig.Rigs;
import dev.patientharbor.rig.TrialBuild;
import dev.patientharbor.survey.CodeLocation;
import dev.patientharbor.terms.Grounds;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Settings;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.Suppression;
import dev.patientharbor.terms.TypeRef;
import dev.patientharbor.terms.WrittenName;
import dev.patientharbor.watching.VerdictChange;
import java.io.IOException;
import java.lang.reflect.Array;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Type;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.BiPredicate;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whatever users may call refuses null in each place, and says what is null. */
class NullArgumentsTest {

    /** Where null says something, which the Javadoc tells. */
    private static final Set<String> MEANS_SOMETHING =
            Set.of(
                    "rig.Rigs#build[Plan, ClassLoader] 1: taken",
                    "rig.Rigs#buildWatched[Plan, ClassLoader] 1: taken",
                    "standins.Call#valueText[Object] 0: taken");

    /** Called by the language, or with functions that the caller writes on the spot. */
    private static final Set<String> NO_ARGUMENTS_OF_A_USER =
            Set.of("equals", "compareTo", "valueOf", "match");

    public interface Gauge {
        double level();
    }

    public static class Sonar implements Gauge {
        @Override
        public double level() {
            return 3;
        }
    }

    public static class Held implements Gauge {
        public Held(Gauge gauge) {}

        @Override
        public double level() {
            return 4;
        }
    }

    public record Desk(Gauge gauge) {}

    @TempDir private static Path folder;

    private final Map<Class<?>, Object> samples = new HashMap<>();
    private int tried;

    @Test
    void null_is_refused_wherever_a_user_may_hand_it_in() throws Exception {
        fillSamples();
        TreeSet<String> taken = new TreeSet<>();
        for (Class<?> type : PublicApi.types()) {
            for (Executable call : calls(type)) {
                for (int place = 0; place < call.getParameterCount(); place++) {
                    for (Object nothing : nothings(call, place)) {
                        tried++;
                        refusal(call, place, nothing).ifPresent(taken::add);
                    }
                }
            }
        }
        assertEquals(String.join("\n", new TreeSet<>(MEANS_SOMETHING)), String.join("\n", taken));
        assertTrue(tried > 450, "only " + tried + " places");
    }

    private static List<Executable> calls(Class<?> type) {
        List<Executable> calls = new ArrayList<>();
        if (!Modifier.isAbstract(type.getModifiers())) {
            calls.addAll(Arrays.asList(type.getDeclaredConstructors()));
        }
        for (Method method : type.getDeclaredMethods()) {
            if (!NO_ARGUMENTS_OF_A_USER.contains(method.getName())
                    && !method.isSynthetic()
                    && (!method.isDefault() || type.isSealed())
                    && !Modifier.isAbstract(method.getModifiers())) {
                calls.add(method);
            }
        }
        calls.removeIf(call -> !Modifier.isPublic(call.getModifiers()));
        calls.removeIf(call -> PublicApi.BETWEEN_MODULES.contains(name(call)));
        return calls;
    }

    private static String name(Executable call) {
        return PublicApi.name(
                call.getDeclaringClass(), call instanceof Constructor<?> ? "new" : call.getName());
    }

    /** A null; and for arguments of any number an array with one too. */
    private static List<Object> nothings(Executable call, int place) {
        Class<?> type = call.getParameterTypes()[place];
        if (type.isPrimitive()) {
            return List.of();
        }
        boolean several = call.isVarArgs() && place == call.getParameterCount() - 1;
        return several
                ? Arrays.asList(null, Array.newInstance(type.getComponentType(), 1))
                : Arrays.asList((Object) null);
    }

    /** What goes wrong where null should be refused; empty if it is. */
    private Optional<String> refusal(Executable call, int place, Object nothing) {
        String name =
                name(call)
                        + Arrays.stream(call.getParameterTypes()).map(Class::getSimpleName).toList()
                        + ' '
                        + place
                        + (nothing == null ? "" : " within");
        try {
            Object[] arguments =
                    Arrays.stream(call.getParameterTypes()).map(this::sample).toArray();
            arguments[place] = nothing;
            call.setAccessible(true);
            if (call instanceof Constructor<?> constructor) {
                constructor.newInstance(arguments);
            } else {
                Method method = (Method) call;
                method.invoke(
                        Modifier.isStatic(method.getModifiers())
                                ? null
                                : sample(call.getDeclaringClass()),
                        arguments);
            }
            return Optional.of(name + ": taken");
        } catch (InvocationTargetException thrown) {
            Throwable cause = thrown.getCause();
            boolean isTold =
                    cause instanceof IllegalArgumentException
                            && String.valueOf(cause.getMessage()).matches("(?s)[a-z].* is null.*");
            return isTold ? Optional.empty() : Optional.of(name + ": " + cause);
        } catch (ReflectiveOperationException | RuntimeException fault) {
            return Optional.of(name + ": cannot be called: " + fault);
        }
    }

    private Object sample(Class<?> raw) {
        if (samples.containsKey(raw)) {
            return samples.get(raw);
        }
        if (raw.isArray()) {
            Object array = Array.newInstance(raw.getComponentType(), 1);
            Array.set(array, 0, sample(raw.getComponentType()));
            return array;
        }
        if (raw.isEnum()) {
            return raw.getEnumConstants()[0];
        }
        throw new IllegalStateException("no sample of " + raw);
    }

    private void fillSamples() throws IOException {
        put(String.class, "test");
        put(Object.class, "x");
        put(CharSequence.class, "x");
        put(int.class, 1);
        put(long.class, 1L);
        put(double.class, 0.5);
        put(boolean.class, true);
        put(byte[].class, "profiles: {}".getBytes(java.nio.charset.StandardCharsets.UTF_8));
        put(Class.class, Held.class);
        put(Type.class, Gauge.class);
        put(ClassLoader.class, getClass().getClassLoader());
        put(Optional.class, Optional.empty());
        put(List.class, List.of());
        put(Set.class, Set.of());
        put(Collection.class, List.of());
        put(Map.class, Map.of());
        put(Duration.class, Duration.ofSeconds(1));
        put(LocalDate.class, LocalDate.of(2026, 1, 1));
        put(Path.class, Files.createDirectories(folder.resolve("code")));
        put(Callable.class, (Callable<Object>) () -> 1);
        put(Runnable.class, (Runnable) () -> {});
        put(Supplier.class, (Supplier<Object>) Sonar::new);
        put(UnaryOperator.class, (UnaryOperator<Object>) given -> "x");
        put(Function.class, (Function<Object, Object>) given -> "x");
        put(BiFunction.class, (BiFunction<Object, Object, Object>) (one, two) -> "x");
        put(SortedMap.class, new TreeMap<>());
        put(Predicate.class, (Predicate<Object>) given -> true);
        put(BiPredicate.class, (BiPredicate<Object, Object>) (one, two) -> true);
        put(Consumer.class, (Consumer<Object>) given -> {});
        put(BiConsumer.class, (BiConsumer<Object, Object>) (one, two) -> {});
        put(StackTraceElement[].class, new StackTraceElement[0]);
        put(Throwable.class, new IllegalStateException());
        put(Method.class, Gauge.class.getMethods()[0]);
        ProfileSet set =
                ProfileSet.define(
                        "nulls",
                        words -> {
                            put(words);
                            words.entry(Desk.class);
                            words.profile(
                                    "test",
                                    test -> {
                                        put(test);
                                        samples.put(test.getClass().getSuperclass(), test);
                                        test.fill(Gauge.class, Supplies.real(Sonar.class));
                                        test.decorate(Gauge.class, Held.class);
                                        test.rules(this::put);
                                    });
                        });
        put(set);
        ProfileSet.define(
                "more",
                words -> {
                    put(words.area("lock"));
                    words.profile(
                            "more",
                            more -> {
                                put(more.decorators(Gauge.class));
                                more.fill(Gauge.class, Supplies.answers(this::putAnswers));
                            });
                });
        put(Supplies.real(Sonar.class));
        put(DecoratorDefinition.by(Held.class));
        Verdict verdict = set.check();
        put(verdict);
        put(RosterSource.class, verdict);
        put(VerdictChange.between(verdict, verdict));
        put(verdict.profiles().get(0));
        put(verdict.explainProfile("test"));
        put(verdict.coverage());
        Plan plan = set.plan("test");
        put(plan);
        put(plan.solo(Desk.class));
        Roster roster = plan.roster();
        put(roster);
        put(roster.of(Desk.class));
        put(roster.of(Desk.class).need("gauge"));
        put(roster.rows().get(0));
        put(roster.rows().get(0).place());
        Answer answer = roster.rows().get(0).answer();
        put(answer);
        put(answer.fills().orElseThrow());
        put(answer.lifetime().orElseThrow());
        put(new AnswerBuilder(AnswerKind.REAL));
        Rig rig = Rigs.build(plan);
        put(rig);
        put(Rig.class.getSuperclass(), rig);
        put(rig.openScope());
        put(rig.usage());
        ObservedUse use = rig.usage().observed("set", "test");
        put(use);
        put(
                ObservedAnswer.inOneRun(
                        "test",
                        answer.fills().orElseThrow(),
                        Optional.of(answer),
                        1,
                        Optional.empty()));
        put(ObservedRosters.of(List.of(roster), use));
        put(rig.trace());
        SourcePosition at = SourcePosition.classNamed("p.A");
        put(SourcePosition.class, at);
        put(at);
        put(SourcePosition.startOf("f"));
        put(new SourcePosition.InSource("F.java", 1));
        put(Finding.of(FindingKinds.BUILD_FAILED, at, "Gauge", "It is broken."));
        put(FindingKinds.BUILD_FAILED);
        Grounds grounds = new Grounds(Optional.of("so"), Optional.empty(), Optional.empty());
        put(grounds);
        Suppression suppression = new Suppression("unbound", "", grounds, at);
        put(suppression);
        put(new ProfileDraft("text", List.of(), List.of()));
        Roster none = new Roster("none", List.of(), List.of(), false);
        put(RosterComparison.of(none, none));
        put(RosterFilter.ALL);
        put(AnswerText.of(verdict, answer));
        put(new AcceptedLine("a", "b", "c", "d", "e"));
        put(AcceptedRoster.parse(AcceptedRoster.text(List.of(roster), Map.of()), "a.txt"));
        put(ObjectGraph.of(roster));
        put(ObjectGraph.of(roster).nodes().get(0));
        put(new SubjectFinder(List.of(roster), verdict::shortName));
        put(SavedRosters.read(RosterJson.render(verdict)));
        put(new CodeLocation("p.A", "go", Optional.empty(), 1));
        put(Surveys.of());
        put(new SuppressedFinding((Finding) samples.get(Finding.class), suppression));
        put(new RuleFault("Rule", new IllegalStateException()));
        put(Slot.of("p.A"));
        put(Key.class, Key.named("a"));
        put(TypeRef.class, TypeRef.of("p.A"));
        put(TypeRef.of("p.A"));
        put(new TypeRef.Primitive("int"));
        put(new TypeRef.Variable("T"));
        put(new TypeRef.Wildcard("?", Optional.empty()));
        put(new TypeRef.ArrayType(TypeRef.of("p.A")));
        put(new WrittenName("p.A", at));
        put(new Settings(Map.of(), Map.of(), Map.of()));
        put(new SlotRecording(Slot.of("p.A"), List.of()));
        put(new TextLayout(80, TextPainter.NONE));
        put(TextPainter.class, TextPainter.NONE);
        put(LookupFiller.class, (LookupFiller) (type, method, given) -> {});
        put(Contract.class, new Contract<Gauge>() {});
        put(new TrialBuild.Attempt("cause", at, "message", "doing"));
    }

    private void putAnswers(AnswersDefinition answers) {
        put(answers);
        put(answers.call("level"));
    }

    private void put(Object sample) {
        samples.put(sample.getClass(), sample);
    }

    private void put(Class<?> type, Object sample) {
        samples.put(type, sample);
    }
}
