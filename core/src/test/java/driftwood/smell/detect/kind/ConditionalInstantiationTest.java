package driftwood.smell.detect.kind;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.List;
import org.junit.jupiter.api.Test;

class ConditionalInstantiationTest {
    private static final String PERMITS = """
            package quay;
            interface Permit { int fee(); }
            class Light implements Permit { Light() { } Light(int days) { } public int fee() { return 1; } }
            class Heavy implements Permit { public int fee() { return 9; } }
            class Hazard implements Permit { public int fee() { return 90; } }
            class Vessel { int tonnage() { return 4; } String kind() { return ""; } }
            """;

    private static String office(String body) {
        return "package quay;\nimport java.util.*;\nclass Office {\n    int takings; List<Permit> issued = new ArrayList<>();\n"
                + body + "\n}\n";
    }

    private static List<String> messages(String... sources) {
        return Given.messages("conditional-instantiation", sources);
    }

    @Test
    void aDecisionInTheMiddleOfOtherWorkIsReported() {
        Finding finding = Given.only("conditional-instantiation", PERMITS, office("""
                void issue(Vessel v) {
                    Permit p;
                    if (v.tonnage() > 500) {
                        p = new Heavy();
                    } else {
                        p = new Light();
                    }
                    takings += p.fee();
                    issued.add(p);
                }"""));
        assertThat(finding.message()).isEqualTo("decides which class to create: Heavy, Light, used as Permit");
        assertThat(finding.line()).isEqualTo(7);
        assertThat(finding.evidence()).extracting(Evidence::note)
                .containsExactly("v.tonnage() > 500 creates Heavy", "otherwise creates Light");
    }

    @Test
    void aConditionalExpressionIsReported() {
        assertThat(messages(PERMITS, office("""
                void issue(Vessel v) { Permit p = v.tonnage() > 5 ? new Heavy() : new Light(); takings += p.fee(); }
                """))).hasSize(1);
    }

    @Test
    void whatIsAddedToTheSameCollectionIsReported() {
        assertThat(messages(PERMITS, office("""
                void issue(Vessel v) {
                    if (v.kind().equals("tug")) { issued.add(new Light()); }
                    else if (v.kind().equals("tanker")) { issued.add(new Hazard()); }
                    takings++;
                }"""))).hasSize(1);
    }

    @Test
    void aSwitchWithReturnsAmongOtherWorkIsReported() {
        assertThat(messages(PERMITS, office("""
                Permit renew(Vessel v) {
                    takings += 4;
                    switch (v.kind()) { case "tug": return new Light(); case "tanker": return new Hazard(); default: return null; }
                }"""))).hasSize(1);
    }

    @Test
    void theSameDecisionElsewhereIsGatheredInOneFinding() {
        String first = office("Permit a(Vessel v) { takings++; if (v.tonnage() > 5) { return new Heavy(); } return new Light(); }");
        String second = first.replace("class Office", "class Desk").replace("> 5)", "> 6)");
        Finding finding = Given.only("conditional-instantiation", PERMITS, first, second);
        assertThat(finding.message()).endsWith("decided again in 1 other place");
        assertThat(finding.drag().reasons())
                .contains("the copies disagree on Heavy (v.tonnage() > 6 here, v.tonnage() > 5 there)");
    }

    @Test
    void checksBeforeTheDecisionAreNoPartOfIt() {
        Finding finding = Given.only("conditional-instantiation", PERMITS, office("""
                Permit issue(Vessel v) {
                    takings++;
                    if (v == null) { throw new IllegalArgumentException(); }
                    if (v.tonnage() > 9) { return new Heavy(); }
                    return new Light();
                }"""));
        assertThat(finding.line()).isEqualTo(8);
    }

    @Test
    void aFactoryOnItsOwnIsNotASmell() {
        assertThat(messages(PERMITS, office("""
                Permit permitFor(Vessel v) {
                    if (v == null) { throw new IllegalArgumentException(); }
                    if (v.tonnage() > 500) { return new Heavy(); } else { return new Light(); }
                }"""))).isEmpty();
    }

    @Test
    void aSwitchingFactoryWithAFinalThrowIsNotASmell() {
        assertThat(messages(PERMITS, office("""
                static Permit of(String kind) {
                    switch (kind) { case "a": return new Light(); case "b": return new Heavy(); }
                    throw new IllegalArgumentException(kind);
                }"""))).isEmpty();
    }

    @Test
    void aFactoryRepeatedElsewhereIsReportedAtTheRepeat() {
        String factory = office("Permit of(Vessel v) { return v.tonnage() > 5 ? new Heavy() : new Light(); }");
        String repeat = """
                package quay;
                class Desk { int n; Permit p; void f(Vessel v) { n++; if (v.tonnage() > 5) { p = new Heavy(); } else { p = new Light(); } n++; } }
                """;
        assertThat(Given.only("conditional-instantiation", PERMITS, factory, repeat).symbol()).isEqualTo("quay.Desk#f(Vessel)");
    }

    @Test
    void theSameClassWithOtherArgumentsIsNotASmell() {
        assertThat(messages(PERMITS, office("""
                void issue(Vessel v) { Permit p = v.tonnage() > 5 ? new Light(3) : new Light(); takings += p.fee(); }
                """))).isEmpty();
    }

    @Test
    void exceptionsAreNotASmell() {
        assertThat(messages("""
                package quay;
                class AException extends RuntimeException { }
                class BException extends RuntimeException { }
                class Desk { int n; void f() { n++; RuntimeException e = n > 3 ? new AException() : new BException(); n--; throw e; } }
                """)).isEmpty();
    }

    @Test
    void foreignClassesAreNotASmell() {
        assertThat(messages(office("""
                void f(boolean sorted) { Map<String, String> m = sorted ? new TreeMap<>() : new HashMap<>(); takings += m.size(); }
                """))).isEmpty();
    }

    @Test
    void differentUsesAreNotOneDecision() {
        assertThat(messages(PERMITS, office("""
                Permit last; Permit first;
                void f(Vessel v) { takings++; if (v.tonnage() > 5) { last = new Heavy(); } else { first = new Light(); } }
                """))).isEmpty();
    }

    @Test
    void aTableFromKeyToConstructorIsNotASmell() {
        assertThat(messages(PERMITS, office("""
                static final Map<String, java.util.function.Supplier<Permit>> TABLE = Map.of("a", Light::new, "b", Heavy::new);
                Permit of(String key) { return TABLE.get(key).get(); }"""))).isEmpty();
    }
}
