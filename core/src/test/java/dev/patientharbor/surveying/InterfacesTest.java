package dev.patientharbor.surveying;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import dev.patientharbor.profiles.Surveys;
import dev.patientharbor.survey.ExtractableInterface;
import dev.patientharbor.testing.JavaCode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

/** An interface in place of a class: what others use of it, as source that compiles. */
class InterfacesTest {

    private static final String CODE =
            """
            package quay;
            public interface Horn { void blow(String why); }
            package quay;
            public class Base {
                public void inherited(int[][] all, String... more) {}
            }
            package quay;
            public class Shelf<T extends Comparable<T>> extends Base {
                public static class Box<K> {}
                public Shelf(Horn horn) {}
                public java.util.List<? super T> find(java.util.Map<String, ? extends T> in, Box<T> box)
                        throws java.io.IOException { return null; }
                public java.util.List<T> find(T only) { return null; }
                public <E extends Exception & Runnable> E raise(E what, java.util.Map.Entry<E, T[]> entry)
                        throws E { return what; }
                public void unused() {}
                public static void house() {}
                void hidden() {}
                @Override public String toString() { own(); return ""; }
                public void own() {}
            }
            package hall;
            public class Desk {
                private final quay.Shelf<String> shelf;
                public Desk(quay.Shelf<String> shelf) { this.shelf = shelf; }
                public void go() throws Throwable {
                    shelf.find(null, null);
                    shelf.find("x");
                    shelf.raise(null, null);
                    shelf.inherited(null, "a", "b");
                    shelf.toString();
                    quay.Shelf.house();
                    Runnable r = () -> shelf.find("y");
                }
            }
            """;

    @Test
    void has_what_others_use_and_compiles_where_the_class_is() throws Exception {
        Path code = JavaCode.compileAnew(CODE, "-parameters");
        List<ExtractableInterface> found = Surveys.of(code).interfaces();
        assertEquals(1, found.size());
        ExtractableInterface contract = found.get(0);
        assertEquals("ShelfContract", contract.name());
        assertEquals(
                List.of(
                        "find(java.util.Map, quay.Shelf.Box)",
                        "find(java.lang.Comparable)",
                        "raise(java.lang.Exception, java.util.Map.Entry)",
                        "toString()",
                        "inherited(int[][], java.lang.String[])"),
                contract.members());
        JavaCode.compileInto(
                code,
                contract.source()
                        + "package quay;\n"
                        + "public class Rack<T extends Comparable<T>> extends Shelf<T> implements"
                        + " ShelfContract<T> { Rack(Horn h) { super(h); } }\n");
        assertTrue(Files.exists(code.resolve("quay/Rack.class")));
    }
}
