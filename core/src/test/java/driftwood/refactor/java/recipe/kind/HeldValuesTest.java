package driftwood.refactor.java.recipe.kind;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.entry;

import driftwood.refactor.Refused;
import driftwood.refactor.java.Attributed;
import driftwood.refactor.java.decision.Decision;
import javax.lang.model.element.VariableElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The few values that a private field holds, and what is done with it and with them. */
class HeldValuesTest {
    private static final String CONSTANTS = "static final int OFF = 0; static final int ON = 1; static final int HOT = 2; ";

    /** A lamp whose routine glow() branches on the field. */
    private static HeldValues of(String head, String members, String statements, String... more) {
        String[] sources = new String[more.length + 1];
        sources[0] = head + " {\nint lit; " + members + " void glow() {\n/*here*/ " + statements + "\n} }";
        System.arraycopy(more, 0, sources, 1, more.length);
        Attributed given = Attributed.of(sources);
        Decision decision = given.decision("Lamp#glow()", "/*here*/");
        HeldValues values = new HeldValues(given.workspace(), (VariableElement) given.workspace().element(decision.subject()));
        decision.arms().forEach(arm -> arm.labels().forEach(values::value));
        values.understand();
        return values;
    }

    private static HeldValues numbers(String members) {
        return of("class Lamp", CONSTANTS + members, "switch (mode) { case OFF: lit++; break; case ON: lit--; mode = HOT; break; }");
    }

    private static HeldValues texts(String members) {
        return of("class Lamp", members, "switch (mode) { case \"off\": lit++; break; case \"full on\": lit--; break; }");
    }

    @Test
    void numbersGoByTheirNames() {
        HeldValues values = numbers("private int mode;");
        assertThat(values.names()).containsExactly(entry(0, "OFF"), entry(1, "ON"), entry(2, "HOT"));
        assertThat(values.areNeeded()).isFalse();
        assertThat(values.areTexts()).isFalse();
        assertThat(values.declared()).hasSize(3);
        assertThat(values.written(1)).isEqualTo("Lamp.ON");
    }

    @Test
    void textsAreCalledAsTheyRead() {
        HeldValues values = texts("private String mode = \"halfOn\";");
        assertThat(values.names().values()).containsExactly("OFF", "FULL_ON", "HALF_ON");
        assertThat(values.areTexts()).isTrue();
        assertThat(values.written("full on")).isEqualTo("\"full on\"");
        assertThat(values.declared()).isEmpty();
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            boolean hot() { return mode == HOT; }                       | 0
            boolean cold() { return !(ON != mode); }                    | 0
            void like(Lamp other) { mode = other.mode; }                | 0
            void set(boolean hot) { mode = hot ? HOT : (ON); }          | 0
            void out() { mode = 0; }                                    | 0
            int mode() { return mode; }                                 | 1
            boolean most() { return mode >= ON; }                       | 1
            boolean is(int wanted) { return mode == wanted; }           | 1
            String say() { return "mode " + mode + mode; }              | 2
            """)
    void whereItIsReadAsTheNumberThatItIs(String member, int handed) {
        HeldValues values = numbers("private int mode; " + member);
        assertThat(values.handed()).hasSize(handed);
        assertThat(values.areNeeded()).isEqualTo(handed > 0);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            boolean off() { return mode.equals("off"); }                | 1 | 0
            boolean off() { return !"off".equals(mode); }               | 1 | 0
            boolean off() { return mode == "off"; }                     | 0 | 0
            boolean off() { return mode.equalsIgnoreCase("off"); }      | 0 | 1
            boolean like(Lamp o) { return mode.equals(o.mode); }        | 0 | 2
            boolean is(String wanted) { return mode.equals(wanted); }   | 0 | 1
            int longest() { return 1; }                                 | 0 | 0
            """)
    void whereATextIsAskedWhetherItEqualsAnother(String member, int asked, int handed) {
        HeldValues values = texts("private String mode = \"off\"; " + member);
        assertThat(values.asked()).hasSize(asked);
        assertThat(values.handed()).hasSize(handed);
        values.asked().forEach(each -> assertThat(values.valueOf(each)).isEqualTo("off"));
    }

    @Test
    void numbersThatOthersNameAreNeeded() {
        HeldValues values = of("class Lamp", CONSTANTS + "private int mode;", "switch (mode) { case OFF: lit++; break; case ON: lit--; break; }",
                "class Shop { int wanted = Lamp.ON; }");
        assertThat(values.handed()).isEmpty();
        assertThat(values.areNeeded()).isTrue();
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', textBlock = """
            int mode;                                                   | mode is not private to each object: who sets it to what cannot be known
            private static int mode;                                    | mode is not private to each object: who sets it to what cannot be known
            private int mode; void set(int wanted) { mode = wanted; }   | mode is given a number from elsewhere: Lamp.java:2
            private int mode; void next() { mode++; }                   | mode is counted: Lamp.java:2
            private int mode; void out() { mode = 7; }                  | the variants are values such as 7, which cannot have behaviour of their own: Lamp.java:2
            private int mode; static final int DARK = 0; boolean dark() { return mode == DARK; } | OFF and DARK are one value with two names
            @Kept private int mode; @interface Kept { }                 | mode is annotated with Kept, and may be read by the type that mode has
            """)
    void whatIsRefused(String members, String because) {
        assertThatThrownBy(() -> numbers(members)).isInstanceOf(Refused.class).hasMessage(because);
    }

    @Test
    void whatIsSerialisedStaysAsItIs() {
        assertThatThrownBy(() -> of("class Lamp implements java.io.Serializable", CONSTANTS + "private int mode;", "switch (mode) { case OFF: lit++; break; case ON: lit--; break; }"))
                .isInstanceOf(Refused.class).hasMessageContaining("Lamp is serialised");
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', textBlock = """
            private String mode; Lamp() { mode = "off"; }                                   | true
            private String mode; Lamp() { lit = 2; mode = "off"; } Lamp(int lit) { this(); } | true
            private final String mode; Lamp() { glow(); mode = "off"; }                     | true
            private String mode; Lamp() { glow(); mode = "off"; }                           | false
            private String mode; Lamp() { mode = "off"; } Lamp(int lit) { this.lit = lit; } | false
            private String mode; Lamp() { lit = count(); mode = "off"; } int count() { return 1; } | false
            private String mode; Lamp() { lit = Integer.parseInt("1"); mode = "off"; }      | true
            private String mode;                                                            | false
            """)
    void itNeedsAValueFromTheStart(String members, boolean has) {
        if (has) {
            assertThat(texts(members).names()).containsKey("off");
        } else {
            assertThatThrownBy(() -> texts(members)).isInstanceOf(Refused.class).hasMessage("mode begins as null, which is none of OFF, FULL_ON");
        }
    }
}
