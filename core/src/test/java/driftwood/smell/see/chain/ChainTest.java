package driftwood.smell.see.chain;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.read.FileTree;
import driftwood.read.java.JavaReader;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Form;
import driftwood.smell.Chain.Label;
import driftwood.smell.Chain.Work;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ChainTest {

    private static List<Chain> chains(String body) {
        String text = "class Desk {\n    int n; Kind kind; Object made;\n    Object f(Object o, Kind k, String s, int i) {\n" + body
                + "\n    }\n}\n";
        List<Chain> chains = new ArrayList<>();
        SourceFile file = new SourceFile("Desk.java", Path.of("Desk.java"), Given.JAVA, false);
        new JavaReader().read(List.of(new SourceText(file, text, false)), tree -> see(tree, chains));
        return chains;
    }

    private static void see(FileTree tree, List<Chain> chains) {
        assertThat(tree.unread()).isEmpty();
        chains.addAll(ChainWalk.SEER.see(tree));
    }

    private static Chain only(String body) {
        assertThat(chains(body)).hasSize(1);
        return chains(body).get(0);
    }

    static Stream<Arguments> forms() {
        return Stream.of(
                Arguments.of("if (k == A1) { n++; } else if (k == B1) { n--; }", Form.LADDER, 2, false),
                Arguments.of("if (k == A1) { n++; } else if (k == B1) { n--; } else { n = 4; }", Form.LADDER, 2, true),
                Arguments.of("if (k == A1) { n++; } else { if (k == B1) { n--; } }", Form.LADDER, 2, false),
                Arguments.of("if (k == A1) return 1; if (k == B1) return 2; return n * 3;", Form.GUARDS, 2, true),
                Arguments.of("if (k == A1) { n++; } if (k == B1) { n--; }", Form.GUARDS, 2, false),
                Arguments.of("switch (k) { case A1: n++; break; case B1: n--; }", Form.MATCH, 2, false),
                Arguments.of("switch (k) { case A1 -> n++; case B1 -> n--; default -> n = 3; }", Form.MATCH, 2, true),
                Arguments.of("return switch (k) { case A1 -> n + 1; case B1, C1 -> n; };", Form.MATCH_VALUE, 2, false),
                Arguments.of("return k == A1 ? n + 1 : k == B1 ? n + 2 : n;", Form.CONDITIONAL, 2, true),
                Arguments.of("return switch (o) { case String t -> 1; case Integer t -> 2; default -> 3; };", Form.MATCH_VALUE, 2, true));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("forms")
    void chainsAreReadInEverySpelling(String body, Form form, int arms, boolean otherwise) {
        Chain chain = only(body);
        assertThat(chain.form()).isEqualTo(form);
        assertThat(chain.arms()).hasSize(arms);
        assertThat(chain.otherwise().isPresent()).isEqualTo(otherwise);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {"if (k == A1) { n++; }", "n++;", "if (k == A1) { n++; } n--; if (k == B1) { n--; }",
        "while (n > 3) { n--; }", "return k == A1 ? 1 : 2;", "switch (k) { case A1: n++; }"})
    void whatHasOneArmIsNoChain(String body) {
        assertThat(chains(body)).isEmpty();
    }

    static Stream<Arguments> labels() {
        return Stream.of(
                Arguments.of("o instanceof Tug", Label.Kind.TYPE, "Tug", "o"),
                Arguments.of("o.getClass() == Tug.class", Label.Kind.TYPE, "Tug", "o"),
                Arguments.of("k == Kind.TUG", Label.Kind.NAME, "TUG", "k"),
                Arguments.of("Kind.TUG == k", Label.Kind.NAME, "TUG", "k"),
                Arguments.of("k.equals(TUG)", Label.Kind.NAME, "TUG", "k"),
                Arguments.of("\"tug\".equals(s)", Label.Kind.STRING, "\"tug\"", "s"),
                Arguments.of("s.equalsIgnoreCase(\"tug\")", Label.Kind.STRING, "\"tug\"", "s"),
                Arguments.of("i == 4", Label.Kind.INTEGER, "4", "i"),
                Arguments.of("s.charAt(0) == 'x'", Label.Kind.CHARACTER, "'x'", "s.charAt(0)"),
                Arguments.of("o == null", Label.Kind.NULL, "null", "o"),
                Arguments.of("o instanceof Tug && n > 3", Label.Kind.TYPE, "Tug", "o"),
                Arguments.of("n > 3 && k == TUG", Label.Kind.NAME, "TUG", "k"));
    }

    @ParameterizedTest(name = "{0} asks for {2} of {3}")
    @MethodSource("labels")
    void conditionsAreReadAsLabelsOfASubject(String condition, Label.Kind kind, String text, String subject) {
        Chain chain = only("if (" + condition + ") { n++; } else if (" + condition + ") { n--; }");
        assertThat(chain.subject().text()).isEqualTo(subject);
        assertThat(chain.arms().get(0).labels()).extracting(Label::kind).containsExactly(kind);
        assertThat(chain.arms().get(0).title()).isEqualTo(text);
        assertThat(chain.arms().get(0).guarded()).isEqualTo(condition.contains("&&"));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = ';', value = {"n + 1 > k + n", "k != A1", "!(o instanceof Tug)", "s.isEmpty()", "k == i", "o != null",
        "k == A1 || n == 4"})
    void otherConditionsHaveNoSubject(String condition) {
        Chain chain = only("if (" + condition + ") { n++; } else if (" + condition + ") { n--; }");
        assertThat(chain.subject()).isEqualTo(Chain.Subject.NONE);
        assertThat(chain.arms().get(0).isOn(Label.Kind.OTHER)).isTrue();
    }

    @Test
    void alternativesOfOneSubjectAreLabelsOfOneArm() {
        Chain chain = only("if (k == A1 || k == B1) { n++; } else if (k == C1) { n--; }");
        assertThat(chain.arms().get(0).title()).isEqualTo("A1, B1");
    }

    @Test
    void emptyCasesHandTheirLabelsOn() {
        Chain chain = only("switch (k) { case A1: case B1: n++; break; case C1: n--; break; }");
        assertThat(chain.arms()).extracting(Chain.Arm::title).containsExactly("A1, B1", "C1");
    }

    @Test
    void anArmOnAnotherSubjectKeepsItsWholeCondition() {
        Chain chain = only("if (k == A1) { n++; } else if (n > 9) { n--; } else if (k == B1) { n = 2; }");
        assertThat(chain.subject().text()).isEqualTo("k");
        assertThat(chain.arms()).extracting(Chain.Arm::title).containsExactly("A1", "n > 9", "B1");
    }

    static Stream<Arguments> bodies() {
        return Stream.of(Arguments.of("return 4;", Work.LOOKS_UP), Arguments.of("return \"a\" + n;", Work.LOOKS_UP),
                Arguments.of("return LIMIT;", Work.LOOKS_UP), Arguments.of("return -1;", Work.LOOKS_UP),
                Arguments.of("return k.name();", Work.LOOKS_UP), Arguments.of("return getName();", Work.LOOKS_UP),
                Arguments.of("return List.of();", Work.LOOKS_UP), Arguments.of("return Integer.valueOf(3);", Work.LOOKS_UP),
                Arguments.of("n = 4;", Work.LOOKS_UP), Arguments.of("return (String) o;", Work.LOOKS_UP),
                Arguments.of("return n + i;", Work.ACTS), Arguments.of("return Math.max(n, i);", Work.ACTS),
                Arguments.of("return k.name().trim();", Work.ACTS), Arguments.of("n += 4;", Work.ACTS),
                Arguments.of("n++;", Work.ACTS), Arguments.of("tell(o);", Work.ACTS), Arguments.of("n = 1; i = 2;", Work.ACTS),
                Arguments.of("for (;;) { n++; }", Work.ACTS), Arguments.of("return () -> n;", Work.ACTS),
                Arguments.of("if (n > 3) { return 1; }", Work.LOOKS_UP), Arguments.of("if (n > 3) { n++; }", Work.ACTS),
                Arguments.of("throw new Error();", Work.THROWS), Arguments.of("checkState(n);", Work.THROWS),
                Arguments.of("requireSafe(o);", Work.THROWS), Arguments.of("return;", Work.NOTHING), Arguments.of(";", Work.NOTHING),
                Arguments.of("{ }", Work.NOTHING), Arguments.of("return new Tug();", Work.CREATES),
                Arguments.of("made = new Tug();", Work.CREATES), Arguments.of("add(new Tug());", Work.CREATES),
                Arguments.of("Tug t = new Tug(); return t;", Work.CREATES), Arguments.of("return new int[0];", Work.LOOKS_UP),
                Arguments.of("Tug t = (Tug) o; return t.name();", Work.LOOKS_UP));
    }

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("bodies")
    void bodiesAmountToWorkLookupsCreationsErrorsOrNothing(String body, Work work) {
        Chain chain = chains("if (k == A1) { " + body + " } else if (k == B1) { n++; }").stream()
                .filter(each -> each.arms().size() == 2).findFirst().orElseThrow();
        assertThat(chain.arms().get(0).work()).isEqualTo(work);
    }

    static Stream<Arguments> products() {
        return Stream.of(Arguments.of("return new Tug(4);", "Tug", "return"), Arguments.of("made = new Tug();", "Tug", "= made"),
                Arguments.of("list.add(new Tug());", "Tug", "list.add"), Arguments.of("Tug t = new Tug(); t.go(); return t;", "Tug", "return"),
                Arguments.of("return (Vessel) new quay.Tug();", "quay.Tug", "return"), Arguments.of("n++; return new Tug();", "Tug", "return"),
                Arguments.of("return n;", "", ""), Arguments.of("return new int[4];", "", ""), Arguments.of("go(new Tug(), 4);", "", ""));
    }

    @ParameterizedTest(name = "{0} makes {1} by {2}")
    @MethodSource("products")
    void whatAnArmCreatesIsKnownWithItsUse(String body, String type, String use) {
        Chain chain = only("if (k == A1) { " + body + " } else if (k == B1) { n++; }");
        assertThat(chain.arms().get(0).product().map(Chain.Product::type).orElse("")).isEqualTo(type);
        assertThat(chain.arms().get(0).product().map(Chain.Product::use).orElse("")).isEqualTo(use);
    }

    @Test
    void castsInAnArmAreTold() {
        assertThat(only("if (o instanceof Tug) { tell((Tug) o); ((Tug) o).go(); } else if (o instanceof Yacht) { n++; }")
                .arms().get(0).casts()).containsExactly("Tug");
    }

    @Test
    void aChainKnowsWhetherALoopIsAround() {
        assertThat(only("for (;;) { if (k == A1) { n++; } else if (k == B1) { n--; } }").inLoop()).isTrue();
        assertThat(only("if (k == A1) { n++; } else if (k == B1) { n--; }").inLoop()).isFalse();
    }

    @ParameterizedTest(name = "alone {1}: {0}")
    @CsvSource(delimiter = '|', value = {
        "if (k == A1) { return new Yacht(); } else { return new Tug(); }|true", "if (o == null) { throw new Error(); } if (k == A1) return new Tug(); return null;|true",
        "n++; if (k == A1) { return new Tug(); } else { return new Yacht(); }|false", "String t = s.trim(); switch (t) { case \"a\": return new Tug(); default: return null; }|true",
        "made = k == A1 ? new Tug() : new Yacht(); n++; return made;|false", "return k == A1 ? new Tug() : new Yacht();|true",
        "if (k == A1) { made = new Tug(); } else { made = new Yacht(); } tell(made); return made;|false"})
    void aRoutineThatOnlyDecidesIsKnown(String body, boolean alone) {
        List<Chain> all = chains(body);
        assertThat(all.get(all.size() - 1).alone()).isEqualTo(alone);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"k, k", "vessel.kind, kind", "$this->position, position", "@position, position", "vessel.Kind, Kind", "vessel.getKind(), kind", "getKind(), kind", "((Tug)v).kind(), kind", "get(), get"})
    void theLastWordOfASubjectNamesIt(String text, String word) {
        assertThat(new Chain.Subject(text, driftwood.program.Trail.UNKNOWN, true).word()).isEqualTo(word);
    }
}
