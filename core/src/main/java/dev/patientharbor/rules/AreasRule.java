package dev.patientharbor.rules;

import dev.patientharbor.declared.AreaTable;
import dev.patientharbor.declared.UnknownPlace;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.model.Area;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.CheckRule;
import dev.patientharbor.ruling.FindingReporter;
import dev.patientharbor.ruling.RuleContext;
import dev.patientharbor.texts.NameList;
import dev.patientharbor.texts.NameSearch;
import java.util.List;
import java.util.Optional;

/** Reports areas that do not exist, that enclose themselves, or that share a member. */
final class AreasRule implements CheckRule {

    @Override
    public void check(RuleContext context) {
        ResolvedSet set = context.set();
        FindingReporter reporter = context.reporter();
        for (AreaTable.UnknownArea one : set.areas().unknown()) {
            reporter.reportOf(one.profile(), unknown(set, one));
        }
        for (NameLookup member : set.areas().unknownMembers()) {
            reporter.report(NamesRule.finding(set, member));
        }
        for (NameLookup place : set.areasLikeClasses()) {
            String text = place.written().text();
            reporter.report(
                    Finding.of(
                                    FindingKinds.AMBIGUOUS_NAME,
                                    place.written().at(),
                                    text,
                                    text + " is an area and a class.")
                            .with("so", "it is taken for the area")
                            .with(
                                    "write",
                                    place.found().get(0).name() + ", if the class is meant"));
        }
        NameSearch search = new NameSearch(names(set));
        for (UnknownPlace unknown : set.unknownPlaces()) {
            NameLookup place = unknown.name();
            List<String> near = search.near(place.written().text());
            reporter.reportOf(
                    Optional.of(unknown.profile()),
                    place.isAmbiguous()
                            ? NamesRule.finding(set, place)
                            : Finding.of(
                                            FindingKinds.UNKNOWN_AREA,
                                            place.written().at(),
                                            place.written().text(),
                                            place.written().text()
                                                    + " is no area, and no class on the"
                                                    + " code path.")
                                    .withAny("did you mean", near)
                                    .withAny("classes", set.names().near(place.written().text()))
                                    .with("areas", list(set)));
        }
        for (AreaTable.Overlap overlap : set.areas().overlaps()) {
            String name = set.names().shortName(overlap.className());
            reporter.report(
                    Finding.of(
                                    FindingKinds.AREAS_OVERLAP,
                                    overlap.second().at(),
                                    overlap.className(),
                                    name
                                            + " is a member of two areas, "
                                            + overlap.first().name()
                                            + " and "
                                            + overlap.second().name()
                                            + ", and neither encloses the other.")
                            .with(
                                    "do",
                                    "take it out of one, or put one area inside the" + " other"));
        }
    }

    private static Finding unknown(ResolvedSet set, AreaTable.UnknownArea one) {
        String name = one.written().text();
        Finding finding =
                Finding.of(
                        FindingKinds.UNKNOWN_AREA,
                        one.written().at(),
                        name,
                        one.circle()
                                ? "The area " + name + " would enclose itself."
                                : "There is no area " + name + ".");
        return one.circle()
                ? finding.with("do", "take one of the two out of the other's inside")
                : finding.withAny("did you mean", one.near()).with("areas", list(set));
    }

    private static List<String> names(ResolvedSet set) {
        return set.declared().areas().stream().map(Area::name).toList();
    }

    private static String list(ResolvedSet set) {
        List<String> names = names(set);
        return names.isEmpty() ? "none are declared" : NameList.of(names);
    }
}
