package dev.patientharbor.code;

import dev.patientharbor.finding.Finding;
import dev.patientharbor.terms.WrittenName;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The code of a set, place by place, as one check sees it: each class file is read once, whoever
 * asks for it, and this remembers what the check looked at.
 *
 * <p>May be used by several threads.
 */
public final class CodePlaces {

    private final OpenedCode code;
    private final LookedAt lookedAt = new LookedAt();
    private final Map<ClassTable, CodeIndex> indexes = new HashMap<>();

    CodePlaces(OpenedCode code) {
        this.code = code;
    }

    /** Returns the same code for another check: nothing is read again. */
    public CodePlaces anew() {
        return new CodePlaces(code);
    }

    /** Returns the code of all places. */
    public CodeIndex whole() {
        return only(code.places());
    }

    /** Returns the code of some of the places, in the order in which they were named. */
    public synchronized CodeIndex only(Collection<WrittenName> places) {
        return indexes.computeIfAbsent(
                code.table(places), table -> new CodeIndex(table, lookedAt, code.findings()));
    }

    /**
     * Begins to read classes that will probably be asked for.
     *
     * @param names class names and patterns as users write them, in the order of the questions
     * @param packages where short names are looked up
     */
    public ReadAhead readAhead(Collection<String> names, List<String> packages) {
        return ReadAhead.of(code.table(code.places()), names, packages);
    }

    /** Reads every class and every list of services, whether anybody asks for it or not. */
    public void readAll() {
        whole().readAll();
    }

    /** Returns how many files were read so far; one that was read twice counts twice. */
    public long filesRead() {
        return code.filesRead();
    }

    /** Returns how many class files this check looked at. */
    public int lookedAt() {
        return lookedAt.count();
    }

    /** Returns what this check could not open, and what it looked at and could not read. */
    public List<Finding> findings() {
        List<Finding> all = new ArrayList<>(code.findings());
        all.addAll(lookedAt.unreadable());
        all.sort(Finding.ORDER);
        return all;
    }

    /** Returns the places in which a class stands. */
    public Set<WrittenName> having(String className) {
        return code.having(className);
    }

    /** Returns which place of the tests has a class, as people read it, if one has. */
    public Optional<String> testPlace(String className) {
        return code.testPlace(className);
    }

    /** Returns the folders and jars that some places are, absolute, in the order of the places. */
    public List<Path> paths(Collection<WrittenName> places) {
        return code.paths(places);
    }

    /** Returns whether a file is a jar, a class file or a list of services of this code. */
    public boolean isReadFrom(Path file) {
        return code.isReadFrom(file);
    }
}
