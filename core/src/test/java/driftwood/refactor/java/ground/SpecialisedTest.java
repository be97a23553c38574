package driftwood.refactor.java.ground;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.MethodInvocationTree;
import driftwood.refactor.java.Attributed;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A body for one value of a flag. */
class SpecialisedTest {

    private static Attributed given(String body) {
        return Attributed.of("class Log {\n    int lines;\n    int write(String line, boolean loud, boolean other) {\n        " + body + "\n    }\n}");
    }

    private static String of(Attributed given, boolean value) {
        String symbol = "Log#write(String,boolean,boolean)";
        return new Specialised(given.workspace(), given.routine(symbol).getParameters().get(1), value).of(given.body(symbol)).replaceAll("\\s+", " ");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiterString = " ## ", textBlock = """
            return loud ? 2 : 1;                                             ## { return 2; }                                    ## { return 1; }
            return !loud ? 2 : 1;                                            ## { return 1; }                                    ## { return 2; }
            if (loud) { lines++; } return lines;                             ## { lines++; return lines; }                       ## { return lines; }
            if (loud) { lines++; } else { lines--; } return lines;           ## { lines++; return lines; }                       ## { lines--; return lines; }
            if (loud) { return 1; } lines++; return 2;                       ## { return 1; }                                    ## { lines++; return 2; }
            if (loud && other) { lines++; } return lines;                    ## { if (other) { lines++; } return lines; }        ## { return lines; }
            if (loud || other) { lines++; } return lines;                    ## { lines++; return lines; }                       ## { if (other) { lines++; } return lines; }
            return write(line, loud, other);                                 ## { return write(line, true, other); }             ## { return write(line, false, other); }
            if (other) { return loud ? 3 : 4; } return 5;                    ## { if (other) { return 3; } return 5; }           ## { if (other) { return 4; } return 5; }
            while (loud) { lines++; } return 1;                              ## { while (true) { lines++; } return 1; }          ## { while (false) { lines++; } return 1; }
            """)
    void onlyWhatBelongsToTheValueIsLeft(String body, String on, String off) {
        Attributed given = given(body);
        assertThat(of(given, true)).isEqualTo(on);
        assertThat(of(given, false)).isEqualTo(off);
    }

    @Test
    void whatElseTreesBecomeIsAskedFirst() {
        Attributed given = given("if (loud) { return write(line, true, other); } return write(line, loud, false);");
        String symbol = "Log#write(String,boolean,boolean)";
        Specialised specialised = new Specialised(given.workspace(), given.routine(symbol).getParameters().get(1), false,
                path -> path.getLeaf() instanceof MethodInvocationTree call ? Optional.of("again(" + call.getArguments().get(2) + ")") : Optional.empty());
        assertThat(specialised.of(given.body(symbol)).replaceAll("\\s+", " ")).isEqualTo("{ return again(false); }");
    }
}
