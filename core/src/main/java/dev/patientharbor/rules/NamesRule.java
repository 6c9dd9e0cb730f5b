package dev.patientharbor.rules;

import dev.patientharbor.code.TestCode;
import dev.patientharbor.declared.ResolvedDecoratorStatement;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.inherited.ResolvedProfile;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.texts.NameList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Reports class names that nothing answers to, and short ones that several classes answer to. */
final class NamesRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        for (NameLookup name : set.otherNames()) {
            if (name.facts().isEmpty()) {
                reporter.report(finding(set, name));
            }
        }
        set.bindings()
                .forEach(
                        binding -> {
                            for (NameLookup name : binding.names()) {
                                if (name.facts().isEmpty()) {
                                    reporter.report(binding, finding(set, name));
                                }
                            }
                        });
        for (ResolvedProfile owner : set.profiles()) {
            for (ResolvedDecoratorStatement statement : owner.ownDecoratorStatements()) {
                statement.names().stream()
                        .filter(name -> name.facts().isEmpty())
                        .forEach(name -> reporter.report(owner, List.of(), finding(set, name)));
            }
        }
        set.eachDecorator(
                (statement, decorator) -> {
                    if (decorator.isUnknown()) {
                        reporter.report(statement, decorator, finding(set, decorator.name()));
                    }
                });
    }

    /** Returns what may be meant by a word of the notation that stands where a class should. */
    private static List<String> meant(String text) {
        String word = text.toLowerCase(Locale.ROOT);
        if (List.of("stub", "fake", "class").contains(word)) {
            return List.of("{ " + word + ": CLASS }");
        }
        if (word.equals("value") || word.equals("factory") || word.equals("members")) {
            return List.of(
                    word.equals("value")
                            ? "{ value: … }"
                            : word.equals("factory")
                                    ? "{ factory: \"CLASS#METHOD\" }"
                                    : "{ members: [SLOT, …] }");
        }
        return List.of("mock", "none", "removed", "to-fill").contains(word)
                ? List.of(word)
                : List.of();
    }

    static Finding finding(ResolvedSet set, NameLookup name) {
        String text = name.written().text();
        if (name.isAmbiguous()) {
            List<String> classes = name.found().stream().map(facts -> facts.name()).toList();
            return Finding.of(
                            FindingKinds.AMBIGUOUS_NAME,
                            name.written().at(),
                            text,
                            "The short name " + text + " fits " + classes.size() + " classes.")
                    .with("classes", NameList.of(classes))
                    .with("write", "the full name of the one that is meant");
        }
        List<String> elsewhere = set.side().whoSees(name.written());
        Optional<String> testPlace = set.side().testPlace(name.written());
        if (testPlace.isPresent()) {
            return Finding.of(
                            FindingKinds.TEST_CODE,
                            name.written().at(),
                            text,
                            "The class "
                                    + text
                                    + " is code of the tests, and this is not a tests' profile.")
                    .with("it stands in", testPlace.get())
                    .with(
                            "it is seen by",
                            elsewhere.isEmpty() ? "no profile" : NameList.of(elsewhere))
                    .with("do", "take a class of the application, or call this a tests' profile")
                    .with("write", "code: [" + TestCode.WORD + "]");
        }
        if (!elsewhere.isEmpty()) {
            return Finding.of(
                            FindingKinds.UNKNOWN_CLASS,
                            name.written().at(),
                            text,
                            "The class " + text + " is not present on this side.")
                    .with("it is there for", NameList.of(elsewhere))
                    .with("do", "bind a class that this side has, or add its code to the profile");
        }
        Finding finding =
                Finding.of(
                        FindingKinds.UNKNOWN_CLASS,
                        name.written().at(),
                        text,
                        "No class " + text + " is on the code path.");
        if (text.indexOf('.') < 0) {
            List<String> packages =
                    set.declared().packages().stream().map(written -> written.text()).toList();
            finding =
                    finding.with(
                            "looked in",
                            packages.isEmpty()
                                    ? "no packages: none are listed"
                                    : String.join(", ", packages));
        }
        List<String> meant = meant(text);
        if (!meant.isEmpty()) {
            return finding.withAny("did you mean", meant);
        }
        List<String> asked = text.indexOf('.') < 0 ? set.askedAs(text) : List.of();
        if (!asked.isEmpty()) {
            return finding.withAny("did you mean", asked);
        }
        List<String> near = set.names().near(text);
        return near.isEmpty()
                ? finding.with("do", "correct the name, or add the code that has the class to code")
                : finding.with("did you mean", String.join(", ", near));
    }
}
