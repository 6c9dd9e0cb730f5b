package dev.patientharbor.notation;

import java.util.List;
import java.util.Optional;
import org.snakeyaml.engine.v2.api.LoadSettings;
import org.snakeyaml.engine.v2.api.lowlevel.Compose;
import org.snakeyaml.engine.v2.exceptions.YamlEngineException;
import org.snakeyaml.engine.v2.nodes.MappingNode;
import org.snakeyaml.engine.v2.nodes.Node;
import org.snakeyaml.engine.v2.nodes.NodeTuple;
import org.snakeyaml.engine.v2.nodes.ScalarNode;

/** Puts one binding into the text of a profile file, to see what it would change. */
final class LineTried {

    private LineTried() {}

    static String in(String text, String profile, String line) {
        try {
            NodeTuple entry = entry(line);
            int colon =
                    line.offsetByCodePoints(
                            0, entry.getKeyNode().getEndMark().orElseThrow().getIndex());
            String key = line.substring(0, colon).strip();
            String value = line.substring(line.indexOf(':', colon) + 1).strip();
            String plain = ((ScalarNode) entry.getKeyNode()).getValue();
            return new YamlInsertion(text).with(key, value, plain, "profiles", profile, "bindings");
        } catch (YamlEngineException damaged) {
            throw new IllegalArgumentException(
                    "the file, or the line " + line + ", is no YAML", damaged);
        }
    }

    private static NodeTuple entry(String line) {
        Optional<Node> node =
                line.contains("\n")
                        ? Optional.empty()
                        : new Compose(LoadSettings.builder().setUseMarks(true).build())
                                .composeString(line);
        List<NodeTuple> entries =
                node.isPresent() && node.get() instanceof MappingNode mapping
                        ? mapping.getValue()
                        : List.of();
        if (entries.size() != 1 || !(entries.get(0).getKeyNode() instanceof ScalarNode)) {
            throw new IllegalArgumentException(
                    line + " is no binding; write SLOT: SUPPLY, for example TideGauge: mock");
        }
        return entries.get(0);
    }
}
