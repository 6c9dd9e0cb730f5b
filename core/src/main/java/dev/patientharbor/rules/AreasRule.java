package dev.patientharbor.rules;

import dev.patientharbor.declared.AreaTable;
import dev.patientharbor.declared.UnknownPlace;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.FindingKinds;
import dev.patientharbor.finding.NameList;
import dev.patientharbor.finding.NameSearch;
import dev.patientharbor.model.Area;
import dev.patientharbor.names.NameLookup;
import dev.patientharbor.resolve.ResolvedSet;
import dev.patientharbor.ruling.Rule;
import dev.patientharbor.ruling.RuleContext;
import java.util.List;
import java.util.Optional;

/** Reports areas that do not exist, that enclose themselves, or that share a member. */
final class AreasRule implements Rule {

    @Override
    public void check(RuleContext context) {
        for (AreaTable.UnknownArea one : context.set().areas().unknown()) {
            context.reporter().reportOf(one.profile(), unknown(context.set(), one));
        }
        for (NameLookup member : context.set().areas().unknownMembers()) {
            context.reporter().report(NamesRule.finding(context.set(), member));
        }
        for (NameLookup place : context.set().areasLikeClasses()) {
            String text = place.written().text();
            context.reporter()
                    .report(
                            Finding.of(
                                            FindingKinds.AMBIGUOUS_NAME,
                                            place.written().at(),
                                            text,
                                            text + " is an area and a class.")
                                    .with("so", "it is taken for the area")
                                    .with(
                                            "write",
                                            place.found().get(0).name()
                                                    + ", if the class is meant"));
        }
        NameSearch search = new NameSearch(names(context.set()));
        for (UnknownPlace unknown : context.set().unknownPlaces()) {
            NameLookup place = unknown.name();
            List<String> near = search.near(place.written().text());
            context.reporter()
                    .reportOf(
                            Optional.of(unknown.profile()),
                            place.isAmbiguous()
                                    ? NamesRule.finding(context.set(), place)
                                    : Finding.of(
                                                    FindingKinds.UNKNOWN_AREA,
                                                    place.written().at(),
                                                    place.written().text(),
                                                    place.written().text()
                                                            + " is no area, and no class on the"
                                                            + " code path.")
                                            .withAny("did you mean", near)
                                            .withAny(
                                                    "classes",
                                                    context.set()
                                                            .names()
                                                            .near(place.written().text()))
                                            .with("areas", list(context.set())));
        }
        for (AreaTable.Overlap overlap : context.set().areas().overlaps()) {
            String name = context.set().names().shortName(overlap.className());
            context.reporter()
                    .report(
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
                                            "take it out of one, or put one area inside the"
                                                    + " other"));
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
