package dev.patientharbor.survey;

import dev.patientharbor.texts.RequiredArgument;
import java.util.List;

/**
 * A contract of the code, or of the JDK where the code asks for it. Immutable; all lists hold
 * binary names, sorted.
 *
 * @param kind what kind of type it is
 * @param implementations the classes of the code that stand behind it and can be made
 * @param askedBy the classes that ask for it in a constructor, or at a mark of the open standard
 * @param hardWiredIn the classes that make or fetch one by themselves
 */
public record SurveyedContract(
        String name,
        ContractKind kind,
        List<String> implementations,
        List<String> askedBy,
        List<String> hardWiredIn) {

    public SurveyedContract {
        RequiredArgument.of(name, "name");
        RequiredArgument.of(kind, "kind");
        RequiredArgument.of(implementations, "implementations");
        RequiredArgument.of(askedBy, "askedBy");
        RequiredArgument.of(hardWiredIn, "hardWiredIn");
        implementations = List.copyOf(implementations);
        askedBy = List.copyOf(askedBy);
        hardWiredIn = List.copyOf(hardWiredIn);
    }
}
