package driftwood.program;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.scan.Scan;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which routine a bare name means that a module imports: under its own name or another, from where it is written or from who hands it on. */
class ImportedTest {
    @TempDir
    private Path root;

    private Program program(String... files) {
        for (int i = 0; i < files.length; i += 2) {
            Given.write(root.resolve(files[i]), files[i + 1]);
        }
        return new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).program();
    }

    private static String owner(Program program, String called) {
        return program.outlines().stream().flatMap(each -> program.callsIn(each).stream()).filter(each -> each.trail().lastName().equals(called))
                .findFirst().flatMap(each -> program.routinesAt(each.trail(), each.within()).stream().findFirst())
                .map(RoutineOutline::owner).orElse("");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "its own name where another has it for something else | import { make as makeRange } from './range.js'; import { make } from './extent.js'; | make | quay.extent",
        "a name of the file's own | import { make as makeRange } from './range.js'; | makeRange | quay.range",
        "handed on | import { make } from './index.js'; | make | quay.extent",
        "handed on under another name | import { span } from './index.js'; | span | quay.range",
        "not imported | | make | ''"})
    void inJavaScript(String what, String imports, String called, String owner) {
        assertThat(owner(program("quay/range.js", "export function make(a, b) { return a; }\n", "quay/extent.js", "export function make(a, b) { return b; }\n",
                "quay/index.js", "export { make } from './extent.js';\nexport { make as span } from './range.js';\n",
                "quay/use.js", (imports == null ? "export const a = 1;" : imports) + "\nexport function use(a, b) { return " + called + "(a, b); }\n"), called)).isEqualTo(owner);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "its own name where another has it for something else | from quay.range import make as make_range\\nfrom quay.extent import make | make | quay.extent",
        "a name of the file's own | from quay.range import make as make_range | make_range | quay.range",
        "handed on by a package | from quay import make | make | quay.extent"})
    void inPython(String what, String imports, String called, String owner) {
        assertThat(owner(program("quay/range.py", "def make(a, b):\n    return a\n", "quay/extent.py", "def make(a, b):\n    return b\n",
                "quay/__init__.py", "from .extent import make\n",
                "use.py", imports.replace("\\n", "\n") + "\n\n\ndef use(a, b):\n    return " + called + "(a, b)\n"), called)).isEqualTo(owner);
    }
}
