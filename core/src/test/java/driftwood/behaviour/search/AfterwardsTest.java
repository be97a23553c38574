package driftwood.behaviour.search;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.view.Surface;
import driftwood.program.Program;
import driftwood.scan.Scan;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AfterwardsTest {
    private static final String[] QUAY = {"""
            package quay;
            import java.util.ArrayList;
            import java.util.List;
            public class Rack {
                private final List<Crate> crates = new ArrayList<>();
                public void put(Crate crate) { crates.add(crate); }
                public int weigh(int empty) { int sum = empty; for (Crate each : crates) { sum += each.tons(); } return sum; }
                public int look(Crate crate) { return crate.tons(); }
            }
            """, """
            package quay;
            public class Crate {
                private int tons;
                public void load(int more) { tons += more; }
                public int tons() { return tons; }
            }
            """, """
            package quay;
            public class Scales {
                public int read(Rack rack) { return rack.weigh(0); }
                public int show(Crate crate) { return crate.tons(); }
            }
            """, """
            package quay;
            public class Label {
                private final String text;
                public Label(String text) { this.text = text; }
                public int stick(Label other) { return other.text.length(); }
            }
            """};

    @TempDir
    Path root;

    /** The calls of a case that are told apart by what they are called on. */
    private static String calls(Case each) {
        List<String> calls = new ArrayList<>();
        each.before().forEach(step -> calls.add(step.make() != null ? "make " + step.make().path("is").asText().replace("quay.", "")
                : (step.of() == null ? "" : step.of() + ".") + step.call() + (step.given() == null ? "" : step.given().findValuesAsText("same").toString())));
        return String.join(", ", calls) + ", " + each.member() + (each.given() == null ? "" : each.given().findValuesAsText("same").toString());
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"Scales|make Rack, make Crate, 1.put[2], 2.load[], read[1]", "Rack|make Crate, put[1], 1.load[], weigh[]; make Crate, put[1], 1.load[], look[]", "Crate|''", "Label|''"})
    void somethingIsHandedOverAndChangesThen(String type, String wanted) throws Exception {
        Given.written(root.resolve("src"), QUAY);
        Program program = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).program();
        Surface surface = Surface.of(program.type("quay." + type).orElseThrow(), program);
        Cases maker = new Cases(program, root, surface);
        List<Case> drawn = new ArrayList<>();
        surface.targets().forEach(target -> drawn.addAll(maker.of(target, 12, new ArrayList<>())));
        List<String> found = new Afterwards(program, maker.vocabulary()).of(drawn).stream().map(AfterwardsTest::calls).toList();
        assertThat(found.stream().distinct().toList()).isEqualTo(wanted.isEmpty() ? List.of() : List.of(wanted.split("; ")));
    }
}
