package dev.patientharbor.notation;

import dev.patientharbor.code.CodeRoot;
import dev.patientharbor.code.GivenCode;
import dev.patientharbor.code.TestCode;
import dev.patientharbor.files.IoReason;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.model.SetDeclaration;
import dev.patientharbor.terms.WrittenName;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/** Lists the places of compiled code that the files of a set name, in their order. */
final class CodeLister {

    private final IncludeReader includes;
    private final AllowedFiles allowed;
    private final List<Finding> findings;

    /**
     * @param includes knows from which folder on each place is written
     * @param findings takes what cannot be read
     */
    CodeLister(IncludeReader includes, AllowedFiles allowed, List<Finding> findings) {
        this.includes = includes;
        this.allowed = allowed;
        this.findings = findings;
    }

    /** The places of the set, then those of its profiles. */
    List<CodeRoot> roots(SetDeclaration set) {
        List<CodeRoot> own = new ArrayList<>();
        List<CodeRoot> all = new ArrayList<>();
        set.profiles()
                .forEach(
                        profile ->
                                profile.terms()
                                        .code()
                                        .ifPresent(places -> own.addAll(roots(places, List.of()))));
        all.addAll(roots(set.code(), own));
        all.addAll(own);
        return all;
    }

    /**
     * The roots of some places.
     *
     * @param own what profiles name as their own, as far as it is known
     */
    private List<CodeRoot> roots(List<WrittenName> places, List<CodeRoot> own) {
        List<CodeRoot> roots = new ArrayList<>();
        for (WrittenName place : places) {
            if (place.text().equals(RunClassPath.WORD)) {
                roots.addAll(GivenCode.roots(RunClassPath.roots(place), own));
            } else if (!TestCode.isWord(place)) {
                try {
                    roots.add(
                            new CodeRoot(
                                    place, allowed.path(includes.folder(place), place.text())));
                } catch (IOException fault) {
                    findings.add(CodeRoot.notRead(place, IoReason.of(fault)));
                }
            }
        }
        return roots;
    }
}
