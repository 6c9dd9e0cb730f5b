package dev.patientharbor.notation;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import org.snakeyaml.engine.v2.api.LoadSettings;
import org.snakeyaml.engine.v2.api.lowlevel.Compose;
import org.snakeyaml.engine.v2.exceptions.MarkedYamlEngineException;
import org.snakeyaml.engine.v2.exceptions.ReaderException;
import org.snakeyaml.engine.v2.exceptions.YamlEngineException;
import org.snakeyaml.engine.v2.nodes.Node;

/** Turns the bytes of a file into a tree of nodes; no object of any other type is ever made. */
final class YamlText {

    /** In bytes. Profile files are written by people; a larger one is something else. */
    private static final int LARGEST = 8 * 1024 * 1024;

    private static final int DEEPEST = 200;

    private YamlText() {}

    static Optional<Piece> read(byte[] bytes, String name, Faults faults) {
        if (bytes.length > LARGEST) {
            faults.malformed(
                    faults.at(1, 1),
                    "The file is too large: " + bytes.length / (1024 * 1024) + " MiB.",
                    "keep profile files under 8 MiB");
            return Optional.empty();
        }
        Optional<String> text = decode(bytes, faults);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        faults.text(text.get());
        int deep = tooDeepAt(text.get());
        if (deep >= 0) {
            tooDeep(position(text.get().substring(0, deep), faults), faults);
            return Optional.empty();
        }
        try {
            Optional<Node> root = new Compose(settings(name)).composeString(text.get());
            if (root.isEmpty()) {
                faults.malformed(
                        faults.at(1, 1),
                        "The file is empty.",
                        "start with patient-harbor: 1, then entry and profiles");
            }
            return root.map(node -> new Piece(node, faults));
        } catch (MarkedYamlEngineException fault) {
            new YamlSyntax(text.get(), faults).tell(fault);
        } catch (ReaderException fault) {
            illegalCharacter(text.get(), fault, faults);
        } catch (YamlEngineException fault) {
            faults.malformed(
                    faults.at(1, 1),
                    "The file is no YAML: " + fault.getMessage() + ".",
                    "correct it");
        } catch (StackOverflowError tooDeep) {
            tooDeep(faults.at(1, 1), faults);
        }
        return Optional.empty();
    }

    private static void tooDeep(dev.patientharbor.finding.Where at, Faults faults) {
        faults.malformed(
                at, "The file is nested too deeply.", "a profile file needs less than ten levels");
    }

    /**
     * Where more brackets are open than anybody writes, -1 if nowhere: so that the place can be
     * told before the YAML library runs out of stack. Brackets in quotes count too; they hardly
     * stay open.
     */
    private static int tooDeepAt(String text) {
        int open = 0;
        for (int i = 0; i < text.length(); i++) {
            char sign = text.charAt(i);
            if (sign == '[' || sign == '{') {
                open++;
            } else if (sign == ']' || sign == '}') {
                open = Math.max(0, open - 1);
            }
            if (open > DEEPEST) {
                return i;
            }
        }
        return -1;
    }

    private static LoadSettings settings(String name) {
        return LoadSettings.builder().setLabel(name).setCodePointLimit(LARGEST).build();
    }

    private static Optional<String> decode(byte[] bytes, Faults faults) {
        CharsetDecoder decoder = StandardCharsets.UTF_8.newDecoder();
        ByteBuffer in = ByteBuffer.wrap(bytes);
        try {
            String text = decoder.decode(in).toString();
            return Optional.of(text.startsWith("\uFEFF") ? text.substring(1) : text);
        } catch (CharacterCodingException fault) {
            String before = new String(bytes, 0, in.position(), StandardCharsets.UTF_8);
            faults.malformed(
                    position(before, faults), "The file is not UTF-8 text.", "save it as UTF-8");
            return Optional.empty();
        }
    }

    private static dev.patientharbor.finding.Where position(String before, Faults faults) {
        int line = (int) before.chars().filter(c -> c == '\n').count() + 1;
        return faults.at(line, before.length() - before.lastIndexOf('\n'));
    }

    private static void illegalCharacter(String text, ReaderException fault, Faults faults) {
        int index = Math.min(Math.max(fault.getPosition(), 0), text.length());
        faults.malformed(
                position(text.substring(0, index), faults),
                String.format(
                        Locale.ROOT,
                        "The character U+%04X may not stand in a YAML file.",
                        fault.getCodePoint()),
                "take it out");
    }
}
