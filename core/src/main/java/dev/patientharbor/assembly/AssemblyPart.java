package dev.patientharbor.assembly;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.AnswerKind;
import dev.patientharbor.terms.Key;
import dev.patientharbor.terms.Lifetime;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.terms.TypeRef;
import java.util.List;
import java.util.Optional;

/** What stands in one slot at one level. Other parts are named by their numbers. */
public sealed interface AssemblyPart {

    /** What may stand in a slot: one constant for each record below. */
    enum Form {
        MADE,
        ALIAS,
        MAYBE,
        LATER,
        SEVERAL,
        MISSING
    }

    /** Which record it is. */
    Form form();

    /** The object that it is; empty for what leads to others, or to nothing. */
    default Optional<Made> made() {
        return form() == Form.MADE ? Optional.of((Made) this) : Optional.empty();
    }

    /** The slot, and where it stands. */
    Answer.Seat seat();

    /**
     * An object that is made.
     *
     * @param making how its core is made
     * @param layers what is around it, outermost first
     * @param lifetime how long it lives
     * @param oneOfClass the class of which there is one core, whatever slot leads to it; empty
     *     where each part has its own
     * @param kind what it is for its contract
     * @param origin where it was said; empty if nothing was said
     */
    record Made(
            Answer.Seat seat,
            ObjectMaking making,
            List<DecoratorLayer> layers,
            Lifetime lifetime,
            Optional<String> oneOfClass,
            AnswerKind kind,
            Optional<SourcePosition> origin)
            implements AssemblyPart {
        public Made {
            layers = List.copyOf(layers);
        }

        @Override
        public Form form() {
            return Form.MADE;
        }
    }

    /** Whatever another part is: the same instance. */
    record Alias(Answer.Seat seat, int to) implements AssemblyPart {
        @Override
        public Form form() {
            return Form.ALIAS;
        }
    }

    /**
     * What may be absent.
     *
     * @param inside what is there, if anything is
     * @param bare whether it is handed out without a wrapping, and {@code null} where it is absent
     */
    record Maybe(Answer.Seat seat, Optional<Integer> inside, boolean bare) implements AssemblyPart {
        @Override
        public Form form() {
            return Form.MAYBE;
        }
    }

    /**
     * What is made when it is asked for.
     *
     * @param carrier the interface that hands it out, by its binary name
     */
    record Later(Answer.Seat seat, String carrier, int inside) implements AssemblyPart {
        @Override
        public Form form() {
            return Form.LATER;
        }
    }

    /**
     * A collection of other parts.
     *
     * @param type the collection, array or map
     * @param members what is in it, in order
     */
    record Several(Answer.Seat seat, TypeRef type, List<Member> members) implements AssemblyPart {
        public Several {
            members = List.copyOf(members);
        }

        @Override
        public Form form() {
            return Form.SEVERAL;
        }
    }

    /** One of several, under its key. */
    record Member(Optional<Key> key, int part) {}

    /**
     * A slot that is bound and not reached, in a complete profile, and whose object cannot be made.
     *
     * @param onPurpose whether it was bound to nothing
     */
    record Missing(Answer.Seat seat, boolean onPurpose) implements AssemblyPart {
        @Override
        public Form form() {
            return Form.MISSING;
        }
    }

    /** The slot that it fills. */
    default Slot slot() {
        return seat().slot();
    }
}
