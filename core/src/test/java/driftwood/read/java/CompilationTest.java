package driftwood.read.java;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CompilationTest {
    private static List<Compilation.Trouble> troubles(String... sources) {
        Map<String, String> texts = new LinkedHashMap<>();
        for (String each : sources) {
            texts.put("Quay" + texts.size() + ".java", each);
        }
        return Compilation.of(texts, Set.of(), List.of()).troubles();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            on a type              | import kelp.marks.Shown; @Shown class Quay { }
            with values            | import kelp.marks.Shown; @Shown(name = "quay", order = 3) class Quay { }
            with unknown values    | import kelp.marks.Shown; import kelp.marks.Order; @Shown(Order.FIRST) class Quay { }
            on a parameter         | import kelp.marks.Maybe; class Quay { int depth(@Maybe String berth) { return berth.length(); } }
            on a type argument     | import kelp.marks.Maybe; class Quay { java.util.List<@Maybe String> berths; }
            on a result            | import kelp.marks.Maybe; class Quay { @Maybe String berth() { return null; } }
            on a local             | import kelp.marks.Maybe; class Quay { int depth() { @Maybe String berth = ""; return berth.length(); } }
            by its whole name      | class Quay { @kelp.marks.Maybe String berth; }
            not imported           | class Quay { @Maybe String berth; }
            imported and not used  | import kelp.marks.Maybe; class Quay { }
            all of a package       | import kelp.marks.*; class Quay { @Maybe String berth; }
            a part that it has not | class Quay { @Deprecated(until = "3") int depth; }
            a constant within      | import static kelp.marks.Orders.FIRST; class Quay { @Deprecated(since = FIRST) String berth; }
            """)
    void sees_no_trouble_where_only_an_annotation_is_unknown(String what, String source) {
        assertThat(troubles(source)).as(what).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            a type too                    | import kelp.marks.Maybe; class Quay { @Maybe String berth; Maybe mark; }
            hidden by one of the platform | import kelp.lists.List; import java.util.*; class Quay { List berths; }
            a parent                      | import kelp.Pier; class Quay extends Pier { }
            what a wild import has        | import kelp.*; class Quay { Pier pier; }
            a method                      | class Quay { int depth() { return sound(); } }
            a constant                    | import static kelp.Depths.LOW; class Quay { int depth = LOW; }
            a type in an annotated one    | import kelp.marks.Maybe; class Quay { @Maybe Pier pier; }
            another kind of error         | class Quay { @Override int depth() { return 3; } }
            """)
    void tells_what_is_unknown_besides(String what, String source) {
        assertThat(troubles(source)).as(what).isNotEmpty();
    }

    @Test
    void tells_in_which_file_and_line_something_is_unknown() {
        assertThat(troubles("class Quay {\n    @Maybe\n    String berth;\n}\n", "class Pier {\n\n    Boat boat;\n}\n"))
                .singleElement().satisfies(each -> {
                    assertThat(each.file()).isEqualTo("Quay1.java");
                    assertThat(each.line()).isEqualTo(3);
                    assertThat(each.message()).contains("Boat");
                });
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            in a package              | app/src/kelp/quay/Berth.java  | kelp.quay | app/src
            in none                   | app/src/Berth.java            | ''        | app/src
            at the root               | kelp/Berth.java               | kelp      | ''
            """)
    void knows_where_packages_begin(String what, String file, String named, String root) {
        assertThat(Compilation.roots(Path.of("/quay"), Map.of(file, named))).as(what).containsExactly(Path.of("/quay", root));
    }
}
