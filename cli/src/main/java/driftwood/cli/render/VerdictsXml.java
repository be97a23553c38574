package driftwood.cli.render;

import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Verdict;
import java.io.StringWriter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Verdicts in the XML that CI servers read: a suite for each recording, a case for each case. */
public final class VerdictsXml {
    private static final int LONGEST = 100;
    private final XMLStreamWriter to;

    private VerdictsXml(XMLStreamWriter to) {
        this.to = to;
    }

    /** @param tests exit code of the project's own tests, where they were run */
    public static String of(Map<Recording, List<Verdict>> verdicts, Optional<Integer> tests) {
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter to = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
            new VerdictsXml(to).whole(verdicts, tests);
            to.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
        return text + "\n";
    }

    private void whole(Map<Recording, List<Verdict>> verdicts, Optional<Integer> tests) throws XMLStreamException {
        to.writeStartDocument("UTF-8", "1.0");
        to.writeStartElement("testsuites");
        for (Map.Entry<Recording, List<Verdict>> each : verdicts.entrySet()) {
            suite(each.getKey().of(), each.getValue());
        }
        if (tests.isPresent()) {
            begin("own tests", 1, tests.get() == 0 ? 0 : 1);
            to.writeStartElement("testcase");
            to.writeAttribute("name", "the project's own tests");
            to.writeAttribute("classname", "driftwood");
            if (tests.get() != 0) {
                failure("failed", "exit code " + tests.get(), "");
            }
            to.writeEndElement();
            to.writeEndElement();
        }
        to.writeEndElement();
        to.writeEndDocument();
    }

    private void begin(String name, long count, long failed) throws XMLStreamException {
        to.writeCharacters("\n  ");
        to.writeStartElement("testsuite");
        to.writeAttribute("name", name);
        to.writeAttribute("tests", Long.toString(count));
        to.writeAttribute("failures", Long.toString(failed));
    }

    private void suite(String name, List<Verdict> verdicts) throws XMLStreamException {
        begin(plain(name), verdicts.size(), verdicts.stream().filter(each -> each.kind() != Verdict.Kind.SAME).count());
        for (Verdict each : verdicts) {
            to.writeCharacters("\n    ");
            to.writeStartElement("testcase");
            to.writeAttribute("name", plain(shortened(each.of().id() + " " + RecordingText.call(each.of()))));
            to.writeAttribute("classname", plain(each.of().routine()));
            if (each.kind() != Verdict.Kind.SAME) {
                StringBuilder details = new StringBuilder();
                each.differences().forEach(place -> details.append("at ").append(place.path()).append("\n  recorded ")
                        .append(place.expected()).append("\n  now      ").append(place.actual()).append('\n'));
                failure(each.kind().name().toLowerCase(Locale.ROOT), message(each), details.toString());
            }
            to.writeEndElement();
        }
        to.writeCharacters("\n  ");
        to.writeEndElement();
    }

    private static String message(Verdict verdict) {
        if (!verdict.why().isEmpty() || verdict.differences().isEmpty()) {
            return verdict.why();
        }
        Verdict.Place first = verdict.differences().get(0);
        int more = verdict.differences().size() - 1;
        return shortened(first.path() + ": recorded " + first.expected() + ", now " + first.actual()) + (more > 0 ? "; and " + more + " more" : "");
    }

    private static String shortened(String text) {
        return text.length() <= LONGEST ? text : text.substring(0, LONGEST - 1) + "\u2026";
    }

    private void failure(String type, String message, String details) throws XMLStreamException {
        to.writeStartElement("failure");
        to.writeAttribute("type", type);
        to.writeAttribute("message", plain(message.isEmpty() ? type : message));
        to.writeCharacters(plain(details));
        to.writeEndElement();
    }

    /** Without the characters that XML 1.0 cannot hold, even escaped (XML 1.0, section 2.2). */
    private static String plain(String text) {
        return text.codePoints().map(each -> each == 9 || each == 10 || each == 13 || each >= 0x20 && each < 0xD800
                || each >= 0xE000 && each < 0xFFFE || each >= 0x10000 ? each : '?')
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append).toString();
    }
}
