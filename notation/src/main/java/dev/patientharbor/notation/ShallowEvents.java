package dev.patientharbor.notation;

import java.util.Optional;
import org.snakeyaml.engine.v2.events.CollectionEndEvent;
import org.snakeyaml.engine.v2.events.CollectionStartEvent;
import org.snakeyaml.engine.v2.events.Event;
import org.snakeyaml.engine.v2.exceptions.Mark;
import org.snakeyaml.engine.v2.parser.Parser;

/**
 * Passes on what a parser meets, as long as it is not nested deeper than anybody writes: what makes
 * a tree of it takes a part of the stack for each level.
 */
final class ShallowEvents implements Parser {

    private static final int DEEPEST = 200;

    private final Parser parser;
    private int depth;

    /** The text is nested too deeply. */
    static final class TooDeepException extends RuntimeException {
        private static final long serialVersionUID = 1;

        private final transient Optional<Mark> mark;

        private TooDeepException(Optional<Mark> mark) {
            super("nested deeper than " + DEEPEST + " levels");
            this.mark = mark;
        }

        /** Where the level begins that is one too many. */
        Optional<Mark> mark() {
            return mark;
        }
    }

    ShallowEvents(Parser parser) {
        this.parser = parser;
    }

    @Override
    public boolean checkEvent(Event.ID choice) {
        return parser.checkEvent(choice);
    }

    @Override
    public Event peekEvent() {
        return parser.peekEvent();
    }

    @Override
    public boolean hasNext() {
        return parser.hasNext();
    }

    @Override
    public Event next() {
        Event event = parser.next();
        if (event instanceof CollectionStartEvent && ++depth > DEEPEST) {
            throw new TooDeepException(event.getStartMark());
        }
        if (event instanceof CollectionEndEvent) {
            depth--;
        }
        return event;
    }
}
