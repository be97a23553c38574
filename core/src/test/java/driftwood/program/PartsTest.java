package driftwood.program;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Detector;
import driftwood.smell.Finding;
import driftwood.smell.Sightings;
import driftwood.smell.detect.construction.TelescopingConstructor;
import driftwood.tree.Mark;
import driftwood.tree.TypeRef;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Types that are declared in several places: what the places say together is the type. */
class PartsTest {
    private static final String HERE = """
            package quay;
            import sea.Buoy;
            class Harbour extends Place {
                Buoy marker;
                Harbour(String name) { this(name, 0); }
                Harbour(String name, int depth) { this(name, depth, 0.0, "", 1); }
            }
            """;
    private static final String THERE = """
            package quay;
            import sea.Bell;
            class Harbour implements Lit {
                Bell bell;
                Harbour(String name, int depth, double dues, String keeper, int lamps) { }
                Bell ring() { return bell; }
                void night() { marker.light(); ring().strike(); }
            }
            """;
    private static final List<String> REST = List.of("package sea; public class Buoy { public void light() { } }",
            "package sea; public class Bell { public void strike() { } }", "package quay; class Place { } interface Lit { }");

    private static Outline outline(String file, String source, boolean parts) {
        Outline drawn = Given.scan("", source).program().outlines().get(0);
        return new Outline(file, drawn.language(), drawn.test(), drawn.lines(), drawn.packageName(), drawn.imports(),
                drawn.types().stream().map(each -> parts ? part(file, each) : each).toList(), drawn.creations(), drawn.calls());
    }

    private static TypeOutline part(String file, TypeOutline type) {
        return new TypeOutline(type.name(), type.outer(), file, type.kind(), type.traits().and(Mark.PARTIAL),
                type.typeParameters(), type.supertypes(), type.permitted(), type.fields().stream().map(each -> new FieldOutline(file,
                each.name(), each.type(), each.traits(), each.start(), each.trail(), each.line(), each.endLine())).toList(),
                type.routines().stream().map(each -> new RoutineOutline(file, each.owner(), each.name(), each.kind(), each.traits(),
                each.generics(), each.returns(), each.parameters(), each.hasBody(), each.brief(), each.line(), each.endLine())).toList(),
                type.constants(), type.anonymous(), type.line(), type.endLine());
    }

    private static Program program(boolean parts) {
        Stream<Outline> rest = REST.stream().map(each -> outline("rest/" + REST.indexOf(each), each, false));
        return Program.link(Stream.concat(Stream.of(outline("a/Harbour.java", HERE, parts), outline("b/Harbour.java", THERE, parts)), rest).toList());
    }

    @Test
    void aTypeIsWhatItsPartsSayTogether() {
        Program program = program(true);
        TypeOutline harbour = program.type("quay.Harbour").orElseThrow();

        assertThat(harbour.fields()).extracting(FieldOutline::name).containsExactly("marker", "bell");
        assertThat(harbour.constructors()).hasSize(3);
        assertThat(program.parents(harbour)).extracting(TypeOutline::name).containsExactly("quay.Place", "quay.Lit");
        assertThat(program.judgedTypes()).filteredOn(each -> each.name().equals("quay.Harbour")).containsExactly(harbour);
        assertThat(program.fileAt("quay.Harbour", "quay.Harbour#ring()")).contains("b/Harbour.java");
        assertThat(program.fileAt("quay.Harbour", "quay.Harbour#marker")).contains("a/Harbour.java");
    }

    @Test
    void eachPartBringsItsImports() {
        Program program = program(true);
        TypeOutline harbour = program.type("quay.Harbour").orElseThrow();

        assertThat(program.resolve(new TypeRef("Buoy"), harbour)).map(TypeOutline::name).contains("sea.Buoy");
        assertThat(program.resolve(new TypeRef("Bell"), harbour)).map(TypeOutline::name).contains("sea.Bell");
        assertThat(program.callsAround(harbour)).extracting(each -> each.trail().lastName()).contains("light", "strike", "this");
    }

    @Test
    void aLadderAcrossPartsIsOneFindingAtItsLongestStep() {
        Detector detector = new TelescopingConstructor();
        List<Finding> findings = detector.judge(program(true), new Sightings(Map.of()));

        assertThat(findings).hasSize(1);
        assertThat(findings.get(0).file()).isEqualTo("b/Harbour.java");
        assertThat(findings.get(0).evidence()).extracting(each -> each.file() + ":" + each.line())
                .contains("a/Harbour.java:5", "a/Harbour.java:6", "b/Harbour.java:5");
    }

    @Test
    void withoutTheMarkTheFirstIsTheType() {
        TypeOutline harbour = program(false).type("quay.Harbour").orElseThrow();

        assertThat(harbour.fields()).extracting(FieldOutline::name).containsExactly("marker");
    }
}
