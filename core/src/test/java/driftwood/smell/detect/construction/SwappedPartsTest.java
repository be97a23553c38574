package driftwood.smell.detect.construction;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.scan.Scan;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Parts of records and of objects that are handed over crosswise, by mistake or to mirror them. */
class SwappedPartsTest {
    @TempDir
    Path root;

    private long swapped(String file, String source) throws Exception {
        Files.writeString(root.resolve(file), source);
        return new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).findings().stream().filter(each -> each.smell().equals("swapped-arguments")).count();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        // how many | what stands where
        "1|record Span(int from, int to) { }|Span all(int from, int to) { return new Span(to, from); }", "0|record Span(int from, int to) { }|Span all(int from, int to) { return new Span(from, to); }",
        "0|record Span(int from, String to) { }|Span all(String from, int to) { return new Span(to, from); }", "1|record Span(int from, int to) { Span { } }|Span all(int from, int to) { return new Span(to, from); }",
        "0|record Span(int from, int to) { }|Span all(Span given) { return new Span(given.to(), given.from()); }", "0|record Span(int from, int to) { }|Span reversed(int from, int to) { return new Span(to, from); }",
        "1|class Span { Span(int from, int to) { } }|Span all(int from, int to) { return new Span(to, from); }", "0|record Span(int from, int to) { Span back() { return new Span(to, from); } }|int all() { return 1; }",
        "1|record Span(int from, int to) { static Span of(int from, int to) { return new Span(to, from); } }|int all() { return 1; }",
        "1|record Span(int from, int to) { static int KEPT = 3; Span back(int from, int to) { return new Span(to, from); } }|int all() { return 1; }"})
    void inJava(int count, String span, String routine) throws Exception {
        assertThat(swapped("Use.java", span + "\nclass Use {\n    " + routine + "\n}\n")).isEqualTo(count);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"0|if (from > to) { return between(to, from); } return to - from;", "0|return -between(to, from);", "0|return from < to ? to - from : between(to, from);",
        "0|if (from != 0 && to < from) { return 1 + between(to, from); } return 0;", "1|if (from > 3) { return between(to, from); } return to;", "1|return between(to, from);", "1|return 1 - between(to, from);"})
    void whatIsPutInOrder(int count, String statements) throws Exception {
        assertThat(swapped("Use.java", "class Use {\n    int between(int from, int to) { return to - from; }\n    int all(int from, int to) { " + statements + " }\n}\n")).isEqualTo(count);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"1|new Span(to, from)", "0|new Span(from, to)", "0|new Span(to: to, from: from)"})
    void inCSharp(int count, String creation) throws Exception {
        assertThat(swapped("Use.cs", "record Span(int from, int to);\nclass Use {\n    Span All(int from, int to) { return " + creation + "; }\n}\n")).isEqualTo(count);
    }

    @ParameterizedTest(name = "{1}: {0}")
    @CsvSource(delimiter = '|', value = {"true|toLat, toLon, fromLat, fromLon", "false|toLat, fromLon, fromLat, toLon", "false|fromLat, toLon, toLat, fromLon"})
    void twoPairsAtOnceMayBeMeant(boolean meant, String arguments) {
        assertThat(driftwood.Given.only("swapped-arguments", "package quay;\nclass Chart { double between(double fromLat, double fromLon, double toLat, double toLon) { return fromLat; }\n"
                + "double leg(double fromLat, double fromLon, double toLat, double toLon) { double far = between(" + arguments + "); return far; } }\n")
                .drag().reasons().stream().anyMatch(each -> each.contains("it may be meant"))).isEqualTo(meant);
    }
}
