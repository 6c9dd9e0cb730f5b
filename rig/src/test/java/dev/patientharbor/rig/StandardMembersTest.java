package dev.patientharbor.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Marked members are filled as the open standard says: in its order, and by its rules on
 * overriding.
 */
class StandardMembersTest {

    private static final Yard YARD =
            Yard.of(
                    """
                    import jakarta.inject.*;
                    public class Log { public static final StringBuilder TEXT = new StringBuilder(); }
                    package p;
                    class Part { Part() {} }
                    package p;
                    import jakarta.inject.*;
                    public class Base {
                        @Inject private Part own;
                        @Inject Part shared;
                        @Inject static Part never;
                        @Inject public Base() { Log.TEXT.append(" Base:" + (own == null)); }
                        @Inject public void first(Part part) { Log.TEXT.append(" first:" + (shared != null && own != null)); }
                        @Inject public void overriddenWithMark(Part part) { Log.TEXT.append(" base-marked"); }
                        @Inject public void overriddenWithout(Part part) { Log.TEXT.append(" base-unmarked"); }
                        @Inject void near(Part part) { Log.TEXT.append(" base-near"); }
                        @Inject private void own(Part part) { Log.TEXT.append(" base-own"); }
                        @Inject protected final void nothing() { Log.TEXT.append(" nothing"); }
                        public static boolean never() { return never == null; }
                    }
                    package p;
                    import jakarta.inject.*;
                    class Near extends Far {
                        @Inject Part last;
                        @Inject Near() { Log.TEXT.append(" Near"); }
                        @Override @Inject public void overriddenWithMark(Part part) { Log.TEXT.append(" marked:" + (last == null)); }
                        @Override public void overriddenWithout(Part part) { Log.TEXT.append(" unmarked"); }
                        @Inject void near(Part part) { Log.TEXT.append(" near-near"); }
                        @Inject private void own(Part part) { Log.TEXT.append(" near-own"); }
                        @Inject void general(Provider<Near> self) { Log.TEXT.append(" self:" + (self != null)); }
                    }
                    package q;
                    import jakarta.inject.*;
                    public class Far2 extends p.Base {
                        @Inject void near(Object part) { p.Log.TEXT.append(" far-near"); }
                    }
                    package p;
                    class Far extends q.Far2 {}
                    """,
                    """
                    entry: [Near]
                    profiles: { t: { bindings: { Near: Near, Object: { class: Part } } } }
                    """);

    @Test
    void static_members_are_filled_when_that_is_asked_for_and_not_before() {
        Yard yard =
                Yard.of(
                        """
                        import jakarta.inject.*;
                        import java.lang.annotation.*;
                        enum Side { EAST, WEST }
                        @Qualifier @Retention(RetentionPolicy.RUNTIME) @interface Zone { int value(); }
                        @Qualifier @Retention(RetentionPolicy.RUNTIME) @interface Post {
                            Side side(); String[] at() default {"pier", "mole"}; Class<?> by() default Side.class; }
                        interface Horn {} record Brass() implements Horn {} record Tin() implements Horn {}
                        record Deep() implements Horn {} record Far() implements Horn {}
                        class Old { @Inject static Horn horn; @Inject @Named("tin") private static Horn other; }
                        class Mast extends Old {
                            static String seen = "nothing"; static String sounded = "";
                            @Inject private static void blow(Horn first, @Named("tin") Provider<Horn> later) {
                                seen = first + " " + later.get() + " " + (first == horn);
                            }
                            @Inject static void sound(@Zone(3) Horn deep, @Post(side = Side.WEST) Horn far) {
                                sounded = " " + deep + " " + far;
                            }
                            @Inject Mast() {}
                            public String toString() { return seen + sounded; }
                        }
                        record Asks(Horn horn, @Named("tin") Provider<Horn> later, Mast mast,
                                @Zone(3) Horn deep, @Post(side = Side.WEST) Horn far) {}
                        """,
                        """
                        entry: [Asks]
                        profiles:
                          t:
                            bindings:
                              Horn: Brass
                              Horn@tin: Tin
                              Horn@Zone(3): Deep
                              "Horn@Post(at=[pier,mole],by=p.Side,side=WEST)": Far
                        """);
        try (Rig rig = yard.rig("t")) {
            assertEquals("nothing", rig.get(yard.type("Mast")).toString());
            rig.fillStatics(yard.type("Mast"));
            assertEquals("Brass[] Tin[] true Deep[] Far[]", rig.get(yard.type("Mast")).toString());
            assertEquals("Deep[]", rig.get(yard.type("Horn"), "Zone(3)").toString());
        }
    }

    @Test
    void superclass_first_fields_before_methods_and_only_what_is_not_overridden() {
        try (Rig rig = YARD.rig("t")) {
            rig.get(YARD.type("Near"));
            assertEquals(
                    List.of(
                            "Base:true",
                            "Near",
                            "first:true",
                            "base-own",
                            "nothing",
                            "far-near",
                            "marked:false",
                            "near-near",
                            "near-own",
                            "self:true"),
                    List.of(YARD.log().split(" ")));
            assertEquals(true, Yard.call(rig.get(YARD.type("Near")), "never"));
        }
    }
}
