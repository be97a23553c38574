package driftwood.smell.detect.construction;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.List;
import org.junit.jupiter.api.Test;

class TelescopingConstructorTest {
    private static final String BERTH = """
            package quay;
            class Berth {
                private final String name; private final int depth; private final int length;
                Berth(String name) { this(name, 4); }
                Berth(String name, int depth) { this(name, depth, 30); }
                Berth(String name, int depth, int length) {
                    this.name = name; this.depth = depth; this.length = length;
                }
            }
            """;

    private static List<String> messages(String... sources) {
        return Given.messages("telescoping-constructor", sources);
    }

    @Test
    void threeConstructorsThatDelegateWithFillersAreReported() {
        Finding finding = Given.only("telescoping-constructor", BERTH);
        assertThat(finding.message()).isEqualTo("Berth has 3 constructors, each adding parameters to the one before, up to 3; "
                + "easily mixed up: depth and length (int)");
        assertThat(finding.line()).isEqualTo(4);
        assertThat(finding.endLine()).isEqualTo(8);
        assertThat(finding.symbol()).isEqualTo("quay.Berth#Berth");
        assertThat(finding.evidence()).extracting(Evidence::note).containsExactly(
                "1 parameter: Berth(String name)", "2 parameters: Berth(String name, int depth)",
                "3 parameters: Berth(String name, int depth, int length)",
                "missing from the ladder: length without the parts before it",
                "neighbours of the same type, easily mixed up: depth and length (int)");
    }

    @Test
    void callersThatFillWithNothingAreEvidence() {
        Finding finding = Given.only("telescoping-constructor", BERTH, """
                package quay;
                class Plan { Berth berth = new Berth("Old Slip", 0, 0); }
                """);
        assertThat(finding.evidence()).extracting(Evidence::note).contains("fills depth with 0, length with 0");
    }

    @Test
    void twoSufficeWhereOneHasFiveParameters() {
        assertThat(messages("""
                package quay;
                class Permit {
                    Permit(String a, int b) { this(a, b, false, null, 0L); }
                    Permit(String a, int b, boolean c, String d, long e) { }
                }
                """)).containsExactly("Permit has 2 constructors, each adding parameters to the one before, up to 5");
    }

    @Test
    void listsThatExtendOneAnotherWithoutDelegatingAreReported() {
        assertThat(messages("""
                package quay;
                class Leg {
                    Leg(String from) { }
                    Leg(String from, String to) { }
                    Leg(String from, String to, int miles) { }
                }
                """)).hasSize(1);
    }

    @Test
    void creationRoutinesOfOneNameAreALadderToo() {
        assertThat(messages("""
                package quay;
                class Tide {
                    private Tide(int h, int m, String where) { }
                    static Tide at(int h) { return at(h, 0); }
                    static Tide at(int h, int m) { return at(h, m, "quay"); }
                    static Tide at(int h, int m, String where) { return new Tide(h, m, where); }
                }
                """)).containsExactly("Tide has 3 routines at(), each adding parameters to the one before, up to 3; "
                + "easily mixed up: h and m (int)");
    }

    @Test
    void oneConstructorWithManyOptionalPartsIsReported() {
        assertThat(messages("""
                package quay;
                class Notice {
                    Notice(String title, String text, String footer, String author, int copies) {
                        this.footer = footer == null ? "" : footer;
                        if (author == null) { author = "office"; }
                    }
                    String footer;
                }
                """)).containsExactly(
                "one constructor of Notice with 5 parameters, 2 of them optional: footer, author");
    }

    @Test
    void partsThatCallersLeaveOutAreOptional() {
        assertThat(messages("""
                package quay;
                class Crane { Crane(String name, int reach, boolean mobile, boolean lit, String crew) { } }
                """, """
                package quay;
                class Yard { Object a = new Crane("A", 4, true, false, null); }
                """)).containsExactly("one constructor of Crane with 5 parameters, 3 of them optional: mobile, lit, crew");
    }

    @Test
    void aRecordWithItsCanonicalConstructorIsNotASmell() {
        assertThat(messages("package quay; record Mark(String a, int b, boolean c, String d, String e) { }")).isEmpty();
    }

    @Test
    void aCopyingOrConvertingConstructorIsNotASmell() {
        assertThat(messages("""
                package quay;
                class Chart {
                    Chart(String path) { this(java.nio.file.Path.of(path)); }
                    Chart(java.nio.file.Path path) { }
                    Chart(Chart other) { this(other.path()); }
                    java.nio.file.Path path() { return null; }
                }
                """)).isEmpty();
    }

    @Test
    void conventionalOverloadsOfAnExceptionAreNotASmell() {
        assertThat(messages("""
                package quay;
                class GroundedException extends RuntimeException {
                    GroundedException() { }
                    GroundedException(String message) { super(message); }
                    GroundedException(String message, Throwable cause) { super(message, cause); }
                }
                """)).isEmpty();
    }

    @Test
    void aSubclassRepeatingItsParentIsNotASmell() {
        assertThat(messages(BERTH, """
                package quay;
                class DryBerth extends Berth {
                    DryBerth(String name) { super(name); }
                    DryBerth(String name, int depth) { super(name, depth); }
                    DryBerth(String name, int depth, int length) { super(name, depth, length); }
                }
                """)).hasSize(1).allMatch(message -> message.contains("Berth has "));
    }

    @Test
    void countedElementsAreNotASmell() {
        assertThat(messages("""
                package quay;
                class Marks {
                    private Marks(Object... all) { }
                    static Marks of(Object e1) { return new Marks(e1); }
                    static Marks of(Object e1, Object e2) { return new Marks(e1, e2); }
                    static Marks of(Object e1, Object e2, Object e3) { return new Marks(e1, e2, e3); }
                }
                """)).isEmpty();
    }

    @Test
    void routinesNamedForAKindAreNotASmell() {
        assertThat(messages("""
                package quay;
                class Gate {
                    private Gate(int width, boolean tidal, boolean lit) { }
                    static Gate sea() { return new Gate(30, true, true); }
                    static Gate basin(int width) { return new Gate(width, false, true); }
                    static Gate dock(int width, boolean lit) { return new Gate(width, false, lit); }
                }
                """)).isEmpty();
    }

    @Test
    void deprecatedConstructorsAreNotCounted() {
        assertThat(messages(BERTH.replace("    Berth(String name) {", "    @Deprecated Berth(String name) {"))).isEmpty();
    }

    @Test
    void aTypeWithItsOwnBuilderIsNotASmell() {
        assertThat(messages("""
                package quay;
                class Notice {
                    Notice(String a, String b, String c, String d, int e) { this.a = a == null ? "" : a; this.b = b == null ? "" : b; }
                    String a; String b;
                    static class Builder { Notice build() { return new Notice("", null, null, null, 0); } }
                }
                """)).isEmpty();
    }

    @Test
    void overloadsOfTheSameLengthAreToldApartByType() {
        assertThat(messages("""
                package quay;
                class Line {
                    Line(int a, String b) { this(a, b, 0); }
                    Line(int a, java.net.URI b) { this(a, b, 0); }
                    Line(int a, String b, int c) { }
                    Line(int a, java.net.URI b, int c) { }
                }
                """)).isEmpty();
    }
}
