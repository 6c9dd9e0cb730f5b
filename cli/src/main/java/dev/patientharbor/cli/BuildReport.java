package dev.patientharbor.cli;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingDetail;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.rig.TrialBuild;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the process that builds has to tell, in a file: each thing in one write, so that it is there
 * whatever becomes of the process.
 */
final class BuildReport implements AutoCloseable {

    private static final char BEGUN = 'b';
    private static final char TRIED = 't';
    private static final char FOUND = 'f';
    private static final char DONE = 'd';

    private final OutputStream file;
    private boolean isOpen;

    private BuildReport(OutputStream file) {
        this.file = file;
    }

    static BuildReport writing(Path file) throws IOException {
        return new BuildReport(
                Files.newOutputStream(file, StandardOpenOption.WRITE, StandardOpenOption.APPEND));
    }

    private interface Words {
        void write(DataOutputStream out) throws IOException;
    }

    private synchronized void write(char kind, Words words) {
        // Once it is reported how a profile ended, nothing more is said of it.
        if (!isOpen && kind != BEGUN) {
            return;
        }
        isOpen = kind != DONE;
        try {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            DataOutputStream out = new DataOutputStream(bytes);
            out.writeChar(kind);
            words.write(out);
            file.write(bytes.toByteArray());
        } catch (IOException fault) {
            throw new UncheckedIOException("cannot write what was built", fault);
        }
    }

    void begun(String profile) {
        write(BEGUN, out -> text(profile, out));
    }

    void tries(TrialBuild.Attempt attempt) {
        write(
                TRIED,
                out -> {
                    text(attempt.cause(), out);
                    where(attempt.at(), out);
                    text(attempt.message(), out);
                    text(attempt.doing(), out);
                });
    }

    void found(Finding finding) {
        write(
                FOUND,
                out -> {
                    where(finding.at(), out);
                    text(finding.cause(), out);
                    text(finding.message(), out);
                    out.writeInt(finding.details().size());
                    for (FindingDetail detail : finding.details()) {
                        text(detail.label(), out);
                        text(detail.text(), out);
                    }
                });
    }

    void done() {
        write(DONE, out -> {});
    }

    @Override
    public void close() throws IOException {
        file.close();
    }

    /**
     * What was reported.
     *
     * @param found what was found in the profiles that were begun
     * @param unfinished the profile that was begun last and not done
     * @param attempt what was being done in it
     */
    record Read(
            Map<String, List<Finding>> found,
            Optional<String> unfinished,
            Optional<TrialBuild.Attempt> attempt) {}

    /** Reads a file, as far as it was written. */
    static Read read(Path file) throws IOException {
        Map<String, List<Finding>> found = new LinkedHashMap<>();
        Optional<String> profile = Optional.empty();
        Optional<TrialBuild.Attempt> attempt = Optional.empty();
        try (DataInputStream in = new DataInputStream(Files.newInputStream(file))) {
            while (in.available() > 0) {
                char kind = in.readChar();
                if (kind == BEGUN) {
                    profile = Optional.of(in.readUTF());
                    attempt = Optional.empty();
                    found.put(profile.get(), new ArrayList<>());
                } else if (kind == TRIED) {
                    attempt = Optional.of(attempt(in));
                } else if (kind == FOUND) {
                    found.get(profile.orElseThrow()).add(finding(in));
                } else {
                    profile = Optional.empty();
                }
            }
        }
        return new Read(found, profile, attempt);
    }

    private static TrialBuild.Attempt attempt(DataInputStream in) throws IOException {
        String cause = in.readUTF();
        SourcePosition at = where(in);
        String message = in.readUTF();
        return new TrialBuild.Attempt(cause, at, message, in.readUTF());
    }

    private static Finding finding(DataInputStream in) throws IOException {
        SourcePosition at = where(in);
        String cause = in.readUTF();
        Finding finding = Finding.of(FindingKinds.BUILD_FAILED, at, cause, in.readUTF());
        for (int left = in.readInt(); left > 0; left--) {
            String label = in.readUTF();
            finding = finding.with(label, in.readUTF());
        }
        return finding;
    }

    private static void where(SourcePosition at, DataOutputStream out) throws IOException {
        text(at.match(in -> "file", in -> "class", in -> "source"), out);
        text(
                at.match(
                        SourcePosition.InFile::path,
                        SourcePosition.InClass::className,
                        SourcePosition.InSource::file),
                out);
        text(at.match(in -> "", SourcePosition.InClass::member, in -> ""), out);
        out.writeInt(at.match(SourcePosition.InFile::line, in -> 0, SourcePosition.InSource::line));
        out.writeInt(at.match(SourcePosition.InFile::column, in -> 0, in -> 0));
    }

    private static SourcePosition where(DataInputStream in) throws IOException {
        String kind = in.readUTF();
        String name = in.readUTF();
        String member = in.readUTF();
        int line = in.readInt();
        int column = in.readInt();
        return switch (kind) {
            case "file" -> new SourcePosition.InFile(name, line, column);
            case "class" -> new SourcePosition.InClass(name, member);
            default -> new SourcePosition.InSource(name, line);
        };
    }

    /** A text of a length that one write can hold. */
    private static void text(String text, DataOutputStream out) throws IOException {
        int longest = 20_000;
        out.writeUTF(text.length() <= longest ? text : text.substring(0, longest) + "…");
    }
}
