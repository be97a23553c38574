package driftwood.pattern;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.pattern.Change.Overlap;
import java.util.List;
import org.junit.jupiter.api.Test;

class ChangeTest {
    private static final String TUG = "class Tug extends Vessel { }\nclass Tanker extends Vessel { }\n";

    private static Edit edit(String text) {
        return new Edit("Tug.java", List.of(text.split("\n", -1)));
    }

    @Test
    void membersOfATypeOnOneLineGoIntoIt() throws Overlap {
        assertThat(edit(TUG).insertAtEnd(1, List.of("int quote() {", "    return 4;", "}")).sketch().after("Tug.java", TUG)).isEqualTo("""
                class Tug extends Vessel {\s

                    int quote() {
                        return 4;
                    }
                }
                class Tanker extends Vessel { }
                """);
    }

    @Test
    void membersKeepTheIndentationOfTheirFile() throws Overlap {
        String tabs = "class Tug {\n\tint length;\n}\n";
        assertThat(edit(tabs).insertAtEnd(3, List.of("int quote() {", "    return 4;", "}")).sketch().after("Tug.java", tabs))
                .isEqualTo("class Tug {\n\tint length;\n\n\tint quote() {\n\t\treturn 4;\n\t}\n}\n");
    }

    @Test
    void editsOfOneFileAreMadeAllAtOnce() throws Overlap {
        Change both = edit(TUG).replace(2, 2, List.of("class Barge { }")).sketch().and(edit(TUG).insertAtEnd(1, List.of("int a;")).sketch());
        assertThat(both.after("Tug.java", TUG)).isEqualTo("class Tug extends Vessel { \n\n    int a;\n}\nclass Barge { }\n");
    }

    @Test
    void twoEditsOfOneStretchAreAnErrorThatSaysBoth() {
        Change both = edit(TUG).replace(1, 2, List.of("x")).sketch().and(edit(TUG).replace(2, 2, List.of("y")).sketch());
        assertThatThrownBy(() -> both.after("Tug.java", TUG)).isInstanceOf(Overlap.class)
                .hasMessage("two changes of Tug.java do not fit together: the lines 1 to 2, and the lines 2 to 2");
    }

    @Test
    void aLineThatIsNotThereIsAnError() {
        assertThatThrownBy(() -> edit(TUG).replace(9, 9, List.of("x"))).hasMessage("Tug.java has no line 9");
    }
}
