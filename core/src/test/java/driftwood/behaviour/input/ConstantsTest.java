package driftwood.behaviour.input;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.tree.Literal;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ConstantsTest {
    @TempDir
    Path root;

    private Constants mined(String body) {
        Given.write(root.resolve("A.java"), "class A { static final int LARGE = 500; " + body + " }");
        return Constants.of(root, List.of("A.java", "missing.java"));
    }

    private List<String> of(String word, String body) {
        return mined(body).of(word).stream().map(Literal::text).toList();
    }

    @Test
    void aConstantBelongsToTheWordItIsComparedWith() {
        String body = "boolean f(V v, int nights) { return v.tonnage() > 80 && nights <= 7 || v.getTonnage() < -3; }";
        assertThat(of("tonnage", body)).containsExactly("80", "-3");
        assertThat(of("nights", body)).containsExactly("7");
    }

    @Test
    void namedConstantsAreLookedUp() {
        assertThat(of("tonnage", "boolean f(int tonnage) { return tonnage > LARGE; }")).containsExactly("500");
    }

    @Test
    void textsAndLabelsAreMined() {
        String body = "int f(String flag) { if (flag.equals(\"KQ\") || flag.startsWith(\"P\")) { return 1; } "
                + "switch (flag) { case \"TUG\": return 2; default: return 3; } }";
        assertThat(of("flag", body)).containsExactly("KQ", "P", "TUG");
    }

    @Test
    void constantsOfThePlatformCountByTheirValues() {
        Given.write(root.resolve("B.java"), "import java.util.Calendar; class B { boolean f(int field, Calendar c) { "
                + "c.add(Calendar.YEAR, 1); return field == Calendar.MONTH || field > Integer.MAX_VALUE; } }");
        Constants constants = Constants.of(root, List.of("B.java"));
        assertThat(constants.of("field")).extracting(Literal::text).containsExactly("2", "2147483647");
        assertThat(constants.known()).extracting(Literal::text).contains("1");
    }

    @Test
    void numbersThatAreNotComparedAreLeftOut() {
        assertThat(mined("int f(int n) { return n * 17 + 4; }").all()).isEmpty();
    }
}
