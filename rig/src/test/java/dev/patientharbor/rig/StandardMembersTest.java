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
