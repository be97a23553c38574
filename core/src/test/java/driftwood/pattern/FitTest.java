package driftwood.pattern;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.scan.Scan;
import driftwood.smell.detect.Catalogue;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FitTest {

    private static List<String> fits(String smell, String... sources) {
        Scan.Result result = Given.scan(smell, sources);
        return Patterns.fits(result.findings().get(0), result.program()).stream().map(Fit::pattern).toList();
    }

    private static final String VESSELS = "package quay; abstract class Vessel { int t; } class Tug extends Vessel { } class Yacht extends Vessel { }";

    @Test
    void variantsThatAreTypesOfTheProjectAnswerForThemselves() {
        assertThat(fits("type-switch", VESSELS, "package quay; class Desk { int n; void f(Vessel v) { if (v instanceof Tug) { n++; } "
                + "else if (v instanceof Yacht) { n--; } } }")).startsWith("strategy").contains("visitor").doesNotContain("registry", "state");
    }

    @Test
    void theObjectsOwnChangingConditionIsAState() {
        assertThat(fits("state-switch", "package quay; class Gate { enum P { A, B } private P p = P.A; int n; void f() { switch (p) { case A: "
                + "p = P.B; n++; break; case B: p = P.A; n--; break; } } void g() { switch (p) { case A: n++; f(); break; case B: n--; f(); break; } } }"))
                .startsWith("state").contains("strategy", "registry");
    }

    @Test
    void aParameterIsNoState() {
        assertThat(fits("type-switch", "package quay; class Gate { enum P { A, B } int n; void f(P p) { switch (p) { case A: n++; f(p); break; "
                + "case B: n--; f(p); break; } } }")).doesNotContain("state");
    }

    @Test
    void aGuardedMatchLosesItsGuardInARegistry() {
        Scan.Result result = Given.scan("type-switch", "package quay; class Desk { enum K { A, B } int n; int f(K k) { return switch (k) "
                + "{ case A -> Math.max(n, 1); case B -> Math.min(n, 1); }; } }");
        Fit registry = Patterns.fits(result.findings().get(0), result.program()).stream()
                .filter(fit -> fit.pattern().equals("registry")).findFirst().orElseThrow();
        assertThat(registry.because()).endsWith("but that it is complete is checked no more");
        assertThat(registry.score()).isLessThan(0.4);
    }

    @Test
    void manyOptionalPartsWantABuilderAndFewWantNames() {
        String many = "package quay; class Berth { Berth(int a) { this(a, 0); } Berth(int a, int b) { this(a, b, 0); } Berth(int a, int b, int c) "
                + "{ this(a, b, c, 0); } Berth(int a, int b, int c, int d) { this(a, b, c, d, 0); } Berth(int a, int b, int c, int d, int e) { } }";
        String few = "package quay; class Berth { Berth(int a) { this(a, 0); } Berth(int a, int b) { this(a, b, 0); } Berth(int a, int b, int c) { } }";
        assertThat(fits("telescoping-constructor", many)).startsWith("builder");
        assertThat(fits("telescoping-constructor", few)).startsWith("factory-method");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "int a, boolean b, boolean c, boolean d, boolean e, int f  | int z | b, c, d and e are flags: as options with names, a caller says only those that it sets",
        "int a, int b, long c, String d, int e, boolean f          | int a, int b, long c | a, b and c go through other routines together as well, and can have a name",
        "int a, int b, long c, String d, int e, boolean f          | int b, long d | what belongs together of a, b, c and 3 more can have a name; no other routine here takes them together",
        "int a, int g, int h, int i, int j, boolean b, boolean c, boolean d | int z | what belongs together of a, g, h and 5 more can have a name; no other routine here takes them together"})
    void whatBecomesOneObjectIsSaid(String parameters, String beside, String because) {
        String source = "package quay; class Dues { int of(" + parameters + ") { return 1; } int other(" + beside + ") { return 2; } }";
        Scan.Result result = Given.scan("long-parameter-list", source);
        assertThat(Patterns.fits(result.findings().get(0), result.program()).get(0).because()).isEqualTo(because);
    }

    @Test
    void callersThatOnlySkipWantANullObjectAndDecidersAnOptionalValue() {
        String source = "package quay; class Roster { Pilot find(int n) { return n > 1 ? null : new Pilot(); } } class Pilot { void go() { } int n() { return 1; } }";
        assertThat(fits("null-check", source, "package quay; class Desk { Roster r; void f() { Pilot p = r.find(1); if (p != null) { p.go(); } } }"))
                .startsWith("null-object");
        assertThat(fits("null-check", source, "package quay; class Desk { Roster r; int f() { Pilot p = r.find(1); return p == null ? 4 : p.n(); } }"))
                .startsWith("optional-value");
    }

    @Test
    void nobodyBuildsAnAbstractType() {
        String body = " class Stay { final int a, b, c, d, e, f; Stay(int a, int b, int c, int d, int e, int f) { this.a = a; this.b = b; this.c = c; this.d = d; this.e = e; this.f = f; } }";
        assertThat(fits("long-parameter-list", "package quay;" + body)).contains("builder");
        assertThat(fits("long-parameter-list", "package quay; abstract" + body)).containsExactly("parameter-object");
    }

    @Test
    void aFinalTypeHasNoNullObject() {
        assertThat(fits("null-check", "package quay; final class Pilot { static Pilot find(int n) { return n > 1 ? null : new Pilot(); } void go() { } "
                + "static void f() { Pilot p = find(1); if (p != null) { p.go(); } } }")).containsExactly("optional-value");
    }

    @Test
    void aDecisionOfSeveralTypesWantsAFactory() {
        String permits = "package quay; interface Permit { } class Light implements Permit { } class Heavy implements Permit { }";
        String one = "package quay; class Desk { int n; Permit p; void f() { n++; p = n > 3 ? new Heavy() : new Light(); n++; } }";
        assertThat(fits("conditional-instantiation", permits, one)).startsWith("factory-method");
        assertThat(fits("conditional-instantiation", permits, one, one.replace("Desk", "Hall"))).startsWith("factory");
    }

    @ParameterizedTest
    @CsvSource({"0.704, 0.7", "1.7, 1.0", "-3, 0.0"})
    void scoresAreBoundedAndRounded(double score, double kept) {
        assertThat(new Fit("strategy", score, "x").score()).isEqualTo(kept);
    }

    @Test
    void everyCureOfTheCatalogueIsAPatternThatExplainsItself() {
        Catalogue.detectors().forEach(detector -> assertThat(Patterns.answering(detector.smell().key())).as(detector.smell().key()).isNotEmpty());
        assertThat(Patterns.all()).allSatisfy(pattern -> assertThat(Catalogue.keys()).containsAll(pattern.answers().keySet()));
        assertThat(Patterns.all()).allSatisfy(pattern -> {
            assertThat(pattern.what()).isNotBlank();
            assertThat(pattern.whenNot()).isNotBlank();
            assertThat(pattern.roles()).isNotEmpty();
        });
        assertThat(Patterns.all()).extracting(Pattern::key).doesNotHaveDuplicates();
    }

    @Test
    void everySmellExplainsItself() {
        assertThat(Catalogue.detectors()).allSatisfy(detector -> {
            assertThat(detector.smell().what()).isNotBlank();
            assertThat(detector.smell().isNot()).isNotBlank();
            assertThat(detector.smell().example()).contains("\n");
            assertThat(detector.smell().prefix()).hasSize(2);
        });
    }
}
