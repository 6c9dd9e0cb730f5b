package dev.patientharbor.code;

import dev.patientharbor.code.ClassFileReader.NotAClassFile;
import dev.patientharbor.files.IoReason;
import dev.patientharbor.files.SizeLimit;
import dev.patientharbor.finding.Finding;
import java.io.IOException;
import java.util.List;
import java.util.Optional;

/**
 * A class of the code, known by the path of its file alone until somebody asks for what is in it;
 * then the file is read, once. May be used by several threads.
 */
final class CodeEntry {

    private final String name;
    private final ClassFile file;
    private volatile Object read;
    private volatile Optional<List<String>> supertypes;

    /**
     * @param name the binary name of the class that belongs into the file
     */
    CodeEntry(String name, ClassFile file) {
        this.name = name;
        this.file = file;
    }

    /** Makes an entry of facts that are there already. */
    CodeEntry(ClassFacts facts) {
        name = facts.name();
        file = null;
        read = facts;
    }

    /** Returns the binary name of the class that belongs into the file. */
    String name() {
        return name;
    }

    /** Returns what is in the file; empty if it cannot be read, which is a finding then. */
    Optional<ClassFacts> facts(FactsRequest request) {
        return result(request) instanceof ClassFacts facts ? Optional.of(facts) : Optional.empty();
    }

    /**
     * Returns the binary names of what the class extends and implements directly; its facts are not
     * read for it. Empty if the names cannot be told without them.
     */
    Optional<List<String>> supertypes() {
        Optional<List<String>> known = supertypes;
        if (known == null) {
            known =
                    read instanceof ClassFacts facts
                            ? Optional.of(facts.superNames())
                            : readSupertypes();
            supertypes = known;
        }
        return known;
    }

    private Optional<List<String>> readSupertypes() {
        try {
            return file.look(
                    SizeLimit.CLASS_FILE,
                    (bytes, length) -> SupertypeReader.read(bytes, length, name));
        } catch (IOException damaged) {
            return Optional.empty();
        }
    }

    /** Returns the finding that the file could not be read; empty if it could, or was not yet. */
    Optional<Finding> fault() {
        return read instanceof Finding finding ? Optional.of(finding) : Optional.empty();
    }

    /** Returns the bytes of the file; empty if it is gone, or there was none. */
    Optional<byte[]> bytes() {
        try {
            return file == null ? Optional.empty() : Optional.of(file.bytes(SizeLimit.CLASS_FILE));
        } catch (IOException gone) {
            return Optional.empty();
        }
    }

    private Object result(FactsRequest request) {
        Object known = read;
        if (known == null) {
            synchronized (this) {
                known = read;
                if (known == null) {
                    known = read(request);
                    read = known;
                }
            }
        }
        return known;
    }

    private Object read(FactsRequest request) {
        String reason;
        try {
            ClassFacts facts = ClassFileReader.read(file.bytes(SizeLimit.CLASS_FILE), request);
            if (facts.name().equals(name)) {
                return facts;
            }
            reason = "it holds " + facts.name() + ", and stands where " + name + " would be";
        } catch (NotAClassFile fault) {
            reason = fault.getMessage();
        } catch (IOException fault) {
            reason = IoReason.of(fault);
        }
        return CodeReader.unreadable(file.place(), "class file", reason);
    }
}
