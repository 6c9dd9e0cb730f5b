package dev.patientharbor.report;

import dev.patientharbor.graph.GraphNode;
import dev.patientharbor.plan.Answer;
import dev.patientharbor.plan.RosterSource;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.VisibleText;
import java.util.ArrayList;
import java.util.List;

/**
 * What stands in the box of a node, line by line.
 *
 * @param kind what it is, in a word: {@code entry}, {@code real}, {@code mock} …
 * @param slot the slot that it fills; blank for an entry consumer
 * @param around the decorators, outermost first
 * @param core what is received; blank where the kind says all
 * @param lifetime how long it lives; blank for an entry consumer and where nothing is received
 */
public record GraphNodeText(
        String kind, String slot, List<String> around, String core, String lifetime) {

    /** The word for a node that nobody holds. */
    public static final String ENTRY = "entry";

    public GraphNodeText {
        RequiredArgument.of(kind, "kind");
        RequiredArgument.of(slot, "slot");
        RequiredArgument.of(around, "around");
        RequiredArgument.of(core, "core");
        RequiredArgument.of(lifetime, "lifetime");
        around = List.copyOf(around);
    }

    /** Returns what stands in the box of a node; class names short. */
    public static GraphNodeText of(RosterSource source, GraphNode node) {
        RequiredArgument.of(source, "source");
        RequiredArgument.of(node, "node");
        if (node.answer().isEmpty()) {
            String name = source.shortName(node.consumer().orElseThrow());
            return new GraphNodeText(ENTRY, "", List.of(), VisibleText.of(name), "");
        }
        Answer answer = node.answer().get();
        Answer.Seat seat = node.seat().orElseThrow();
        return new GraphNodeText(
                answer.kind().word(),
                VisibleText.of(
                        ReportWording.slot(source, seat.slot())
                                + seat.within()
                                        .map(level -> " within " + source.shortName(level))
                                        .orElse("")),
                answer.around().stream()
                        .map(each -> VisibleText.of(source.shortName(each.name())))
                        .toList(),
                VisibleText.of(ReportWording.name(source, answer)),
                answer.lifetime().map(choice -> choice.lifetime().word()).orElse(""));
    }

    /** Returns the lines of the box: decorators, the core with its kind, the slot. */
    public List<String> lines() {
        List<String> lines = new ArrayList<>();
        around.forEach(name -> lines.add(name + " →"));
        lines.add(kind.equals(ENTRY) || core.isEmpty() ? kind + ' ' + core : core + " · " + kind);
        if (!slot.isEmpty()) {
            lines.add(
                    slot
                            + (lifetime.equals("shared") || lifetime.isEmpty()
                                    ? ""
                                    : " · " + lifetime));
        }
        return lines.stream().map(String::strip).toList();
    }
}
