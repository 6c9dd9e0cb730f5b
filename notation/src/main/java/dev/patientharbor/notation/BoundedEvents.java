package dev.patientharbor.notation;

import java.util.Optional;
import org.snakeyaml.engine.v2.events.CollectionEndEvent;
import org.snakeyaml.engine.v2.events.CollectionStartEvent;
import org.snakeyaml.engine.v2.events.Event;
import org.snakeyaml.engine.v2.events.NodeEvent;
import org.snakeyaml.engine.v2.exceptions.Mark;
import org.snakeyaml.engine.v2.parser.Parser;

/**
 * Passes on what a parser meets, as long as it is not nested deeper, and no more of it, than
 * anybody writes: what makes a tree of it takes a part of the stack for each level, and of the
 * memory for each key and value.
 */
final class BoundedEvents implements Parser {

    private static final int DEEPEST = 200;

    /** The most keys, values, lists and maps of one text. */
    private static final int MOST = 200_000;

    private final Parser parser;
    private int depth;
    private int count;

    /** The text is nested too deeply, or has too much in it; the message says which. */
    static final class BeyondLimitException extends RuntimeException {
        private static final long serialVersionUID = 1;

        private final transient Optional<Mark> mark;

        private BeyondLimitException(String message, Optional<Mark> mark) {
            super(message);
            this.mark = mark;
        }

        /** Where the first begins that is too much. */
        Optional<Mark> mark() {
            return mark;
        }
    }

    BoundedEvents(Parser parser) {
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
            throw new BeyondLimitException("The file is nested too deeply.", event.getStartMark());
        }
        if (event instanceof NodeEvent && ++count > MOST) {
            throw new BeyondLimitException(
                    "The file has more than " + MOST + " keys and values.", event.getStartMark());
        }
        if (event instanceof CollectionEndEvent) {
            depth--;
        }
        return event;
    }
}
