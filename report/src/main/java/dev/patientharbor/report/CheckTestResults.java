package dev.patientharbor.report;

import dev.patientharbor.check.ProfileVerdict;
import dev.patientharbor.check.Verdict;
import dev.patientharbor.finding.Finding;
import dev.patientharbor.finding.Severity;
import dev.patientharbor.plan.RosterRow;
import dev.patientharbor.terms.Slot;
import dev.patientharbor.texts.RequiredArgument;
import dev.patientharbor.texts.XmlCharacters;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * Writes what a check found as test results in XML, the form that build servers read: a suite for
 * each profile, a case for each need, and one for each finding that is about no need that is unmet.
 */
public final class CheckTestResults {

    private static final String INDENT = "  ";

    private final Verdict verdict;
    private final Severity failing;
    private final XMLStreamWriter xml;

    /**
     * A case.
     *
     * @param of what it is about: a consumer, or the file
     * @param failure the finding that makes it fail, if one does
     * @param note a finding that is told and makes nothing fail
     */
    private record TestCase(
            String of, String name, Optional<Finding> failure, Optional<Finding> note) {}

    private CheckTestResults(Verdict verdict, Severity failing, XMLStreamWriter xml) {
        this.verdict = verdict;
        this.failing = failing;
        this.xml = xml;
    }

    /**
     * The whole text; it ends with {@code \n}.
     *
     * @param failing findings of this severity or a graver one fail; whatever makes a profile
     *     incomplete does too
     */
    public static String render(Verdict verdict, Severity failing) {
        RequiredArgument.of(verdict, "verdict");
        RequiredArgument.of(failing, "failing");
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
            new CheckTestResults(verdict, failing, xml).write();
            xml.close();
        } catch (XMLStreamException impossible) {
            throw new IllegalStateException("text in memory cannot fail", impossible);
        }
        return text.append('\n').toString();
    }

    private void write() throws XMLStreamException {
        Map<String, List<TestCase>> suites = new LinkedHashMap<>();
        if (!verdict.findings().isEmpty()) {
            suites.put(
                    "the set as a whole",
                    verdict.findings().stream().map(this::ofFinding).toList());
        }
        for (ProfileVerdict profile : verdict.profiles()) {
            suites.put(profile.name(), cases(profile));
        }
        xml.writeStartDocument("UTF-8", "1.0");
        xml.writeCharacters("\n");
        xml.writeStartElement("testsuites");
        attribute("name", verdict.title());
        List<TestCase> all = suites.values().stream().flatMap(List::stream).toList();
        counts(all);
        for (Map.Entry<String, List<TestCase>> suite : suites.entrySet()) {
            line(1);
            xml.writeStartElement("testsuite");
            attribute("name", suite.getKey());
            counts(suite.getValue());
            for (TestCase each : suite.getValue()) {
                write(each);
            }
            line(1);
            xml.writeEndElement();
        }
        line(0);
        xml.writeEndElement();
        xml.writeEndDocument();
    }

    private void counts(List<TestCase> cases) throws XMLStreamException {
        attribute("tests", String.valueOf(cases.size()));
        attribute(
                "failures",
                String.valueOf(cases.stream().filter(each -> each.failure().isPresent()).count()));
        attribute("errors", "0");
        attribute("skipped", "0");
        attribute("time", "0");
    }

    private List<TestCase> cases(ProfileVerdict profile) {
        List<TestCase> cases = new ArrayList<>();
        List<Finding> left = new ArrayList<>(profile.findings());
        if (!profile.isPartial()) {
            for (RosterRow row : verdict.roster(profile.name()).rows()) {
                Optional<Finding> failure =
                        row.answer().isMet()
                                ? Optional.empty()
                                : profile.findings().stream()
                                        .filter(finding -> isAbout(finding, row))
                                        .findFirst();
                failure.ifPresent(left::remove);
                cases.add(
                        new TestCase(
                                row.consumer(),
                                row.need()
                                        + row.as().map(slot -> " as " + text(slot)).orElse("")
                                        + row.within()
                                                .map(level -> " within " + verdict.shortName(level))
                                                .orElse("")
                                        + ": "
                                        + ReportWording.asked(verdict, row),
                                failure,
                                Optional.empty()));
            }
        }
        left.forEach(finding -> cases.add(ofFinding(finding)));
        return cases;
    }

    private String text(Slot slot) {
        return slot.text(verdict::shortName);
    }

    /** Whether a finding says why a need is unmet. */
    private static boolean isAbout(Finding finding, RosterRow row) {
        return finding.kind().breaksCompleteness()
                && finding.consumers().contains(row.consumer())
                && finding.subjects().stream()
                        .anyMatch(
                                subject ->
                                        subject.equals(row.slot().text())
                                                || subject.equals(row.slot().contract().text()));
    }

    private TestCase ofFinding(Finding finding) {
        boolean fails =
                finding.kind().breaksCompleteness() || finding.severity().compareTo(failing) >= 0;
        return new TestCase(
                // Without a line, which would begin a new history whenever it moves.
                finding.at().match(in -> in.path(), in -> in.className(), in -> in.file()),
                finding.kind().id() + ": " + finding.cause(),
                fails ? Optional.of(finding) : Optional.empty(),
                fails ? Optional.empty() : Optional.of(finding));
    }

    private void write(TestCase each) throws XMLStreamException {
        line(2);
        xml.writeStartElement("testcase");
        attribute("classname", each.of());
        attribute("name", each.name());
        attribute("time", "0");
        if (each.failure().isPresent()) {
            Finding finding = each.failure().get();
            line(3);
            xml.writeStartElement("failure");
            attribute("message", finding.message());
            attribute("type", finding.kind().id());
            characters(finding.at().text() + "\n" + FindingMessage.of(verdict, finding));
            xml.writeEndElement();
            line(2);
        }
        if (each.note().isPresent()) {
            Finding finding = each.note().get();
            line(3);
            xml.writeStartElement("system-out");
            characters(
                    finding.severity().word()
                            + " at "
                            + finding.at().text()
                            + "\n"
                            + FindingMessage.of(verdict, finding));
            xml.writeEndElement();
            line(2);
        }
        xml.writeEndElement();
    }

    private void line(int depth) throws XMLStreamException {
        xml.writeCharacters("\n" + INDENT.repeat(depth));
    }

    private void attribute(String name, String value) throws XMLStreamException {
        xml.writeAttribute(name, XmlCharacters.of(value));
    }

    private void characters(String value) throws XMLStreamException {
        xml.writeCharacters(XmlCharacters.of(value));
    }
}
