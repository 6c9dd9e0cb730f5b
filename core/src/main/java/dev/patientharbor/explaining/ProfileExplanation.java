package dev.patientharbor.explaining;

import dev.patientharbor.finding.SourcePosition;
import dev.patientharbor.texts.RequiredArgument;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What a profile is made of, and what it changes. Immutable.
 *
 * @param profile the profile
 * @param partial whether it is only there to be extended
 * @param at where it stands
 * @param parents all that it extends, directly or not, in the order in which they are looked at
 * @param extendedBy the profiles that extend it, directly or not, in the order of the file
 * @param says what it binds and decorates itself, in the order of the file
 * @param rules the rules that hold in it, those of its parents first
 */
public record ProfileExplanation(
        String profile,
        boolean partial,
        SourcePosition at,
        List<String> parents,
        List<String> extendedBy,
        List<SaidWord> says,
        List<RuleInForce> rules) {
    public ProfileExplanation {
        RequiredArgument.of(profile, "profile");
        RequiredArgument.of(at, "at");
        RequiredArgument.of(parents, "parents");
        RequiredArgument.of(extendedBy, "extendedBy");
        RequiredArgument.of(says, "says");
        RequiredArgument.of(rules, "rules");
        parents = List.copyOf(parents);
        extendedBy = List.copyOf(extendedBy);
        says = List.copyOf(says);
        rules = List.copyOf(rules);
    }

    /** Returns the explanation as a failed assertion shows it. */
    @Override
    public String toString() {
        return profile
                + (parents.isEmpty() ? "" : " extends " + String.join(", ", parents))
                + says.stream()
                        .map(
                                said ->
                                        "\n  "
                                                + said.level()
                                                + ", "
                                                + said.slot()
                                                + ": "
                                                + said.word()
                                                + ' '
                                                + said.at().text()
                                                + " decides "
                                                + said.decides())
                        .collect(Collectors.joining())
                + rules.stream()
                        .map(rule -> "\n  rule " + rule.rule() + ' ' + rule.at().text())
                        .collect(Collectors.joining());
    }
}
