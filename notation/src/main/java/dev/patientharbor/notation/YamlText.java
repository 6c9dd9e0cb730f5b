package dev.patientharbor.notation;

import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.finding.SourcePosition;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.snakeyaml.engine.v2.api.LoadSettings;
import org.snakeyaml.engine.v2.composer.Composer;
import org.snakeyaml.engine.v2.exceptions.MarkedYamlEngineException;
import org.snakeyaml.engine.v2.exceptions.ReaderException;
import org.snakeyaml.engine.v2.exceptions.YamlEngineException;
import org.snakeyaml.engine.v2.nodes.Node;
import org.snakeyaml.engine.v2.parser.ParserImpl;
import org.snakeyaml.engine.v2.scanner.StreamReader;
import org.snakeyaml.engine.v2.schema.FailsafeSchema;

/** Turns the bytes of a file into a tree of nodes; no object of any other type is ever made. */
final class YamlText {

    private static final int LARGEST = SizeLimit.PROFILE_FILE.bytes();

    /** In characters; the YAML library reads no less at a time. */
    private static final int SMALLEST_BUFFER = 1024;

    private static final String VERSION = "^\\W{0,2}patient-harbor\\W";

    private YamlText() {}

    /** Whether bytes say that they are profiles, in whatever shape the rest of them is. */
    static boolean looksLikeProfiles(byte[] bytes) {
        return Pattern.compile(VERSION, Pattern.MULTILINE)
                .matcher(new String(bytes, StandardCharsets.UTF_8))
                .find();
    }

    static Optional<YamlNode> read(byte[] bytes, FileFaults faults) {
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
        try {
            Optional<Node> root = compose(text.get(), faults.name());
            if (root.isEmpty()) {
                faults.malformed(
                        faults.at(1, 1),
                        "The file is empty.",
                        "start with patient-harbor: 1, then entry and profiles");
            }
            return root.map(node -> new YamlNode(node, faults));
        } catch (BoundedEvents.BeyondLimitException beyond) {
            faults.malformed(
                    beyond.mark()
                            .map(mark -> faults.at(mark.getLine() + 1, mark.getColumn() + 1))
                            .orElse(faults.at(1, 1)),
                    beyond.getMessage(),
                    "a profile file needs less than ten levels; what is large may be spread over"
                            + " several that include each other");
        } catch (MarkedYamlEngineException fault) {
            new YamlSyntax(text.get(), faults).report(fault);
        } catch (ReaderException fault) {
            illegalCharacter(text.get(), fault, faults);
        } catch (YamlEngineException | IllegalArgumentException fault) {
            // An escape of a character that Unicode has not is reported by the Java library itself.
            faults.malformed(
                    faults.at(1, 1),
                    "The file is no YAML: " + fault.getMessage() + ".",
                    "correct it");
        }
        return Optional.empty();
    }

    private static Optional<Node> compose(String text, String name) {
        // All of the text at once: with a smaller buffer each one copies what a long line began.
        LoadSettings settings =
                LoadSettings.builder()
                        .setLabel(name)
                        // All is text here: what is a number is asked where one is wanted.
                        .setSchema(new FailsafeSchema())
                        .setCodePointLimit(LARGEST)
                        .setBufferSize(Math.max(text.length() + 1, SMALLEST_BUFFER))
                        .build();
        StreamReader characters = new StreamReader(settings, text);
        return new Composer(settings, new BoundedEvents(new ParserImpl(settings, characters)))
                .getSingleNode();
    }

    private static Optional<String> decode(byte[] bytes, FileFaults faults) {
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

    private static SourcePosition position(String before, FileFaults faults) {
        int line = (int) before.chars().filter(c -> c == '\n').count() + 1;
        return faults.at(line, before.length() - before.lastIndexOf('\n'));
    }

    private static void illegalCharacter(String text, ReaderException fault, FileFaults faults) {
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
