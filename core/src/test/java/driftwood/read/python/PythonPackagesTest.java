package driftwood.read.python;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.scan.Scan;
import driftwood.tree.TypeRef;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Modules in folders that say that they are packages, and in folders that do not. */
class PythonPackagesTest {
    @TempDir
    Path root;

    private Program program(String... filesAndTexts) {
        for (int i = 0; i < filesAndTexts.length; i += 2) {
            Given.write(root.resolve(filesAndTexts[i]), filesAndTexts[i + 1]);
        }
        return new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).program();
    }

    @ParameterizedTest(name = "{0} says {2} of {1}")
    @CsvSource(delimiter = '|', textBlock = """
            quay/office.py             | quay/boats.py         | from quay.boats import Tug         | quay.boats.Tug
            quay/office.py             | quay/boats.py         | from .boats import Tug             | quay.boats.Tug
            quay/office.py             | quay/boats.py         | from boats import Tug              | quay.boats.Tug
            quay/office.py             | quay/boats.py         | from quay.boats import *           | quay.boats.Tug
            src/quay/office.py         | src/quay/boats.py     | from quay.boats import Tug         | quay.boats.Tug
            back/quay/office.py        | back/quay/boats.py    | from quay.boats import Tug         | back.quay.boats.Tug
            back/main.py               | back/quay/boats.py    | from quay.boats import Tug         | back.quay.boats.Tug
            my-app/quay/office.py      | my-app/quay/boats.py  | from quay.boats import Tug         | quay.boats.Tug
            office.py                  | boats.py              | from boats import Tug              | boats.Tug
            quay/office.py             | dock/boats.py         | from boats import Tug              |
            """)
    void anImportMayBeginAtAnyFolderAround(String office, String boats, String imported, String meant) {
        Program program = program(boats, "class Tug:\n    def tow(self):\n        return 1\n", office, imported + "\n\n\nclass Office:\n    pass\n");
        TypeOutline around = program.types().stream().filter(each -> each.simpleName().equals("Office")).findFirst().orElseThrow();
        assertThat(program.resolve(new TypeRef("Tug"), around).map(TypeOutline::name)).isEqualTo(Optional.ofNullable(meant));
    }

    @Test
    void twoModulesOfOneNameStayTwo() {
        Program program = program("quay/models.py", "class Boat:\n    def tow(self):\n        return 1\n", "dock/models.py", "class Boat:\n    def lift(self):\n        return 2\n");
        assertThat(program.type("quay.models.Boat").orElseThrow().routines()).singleElement().satisfies(each -> assertThat(each.name()).isEqualTo("tow"));
        assertThat(program.type("dock.models.Boat").orElseThrow().routines()).singleElement().satisfies(each -> assertThat(each.name()).isEqualTo("lift"));
    }

    @Test
    void aFolderThatSaysSoBeginsAtTheOutermostThatDoes() {
        Program program = program("back/quay/__init__.py", "", "back/quay/boats.py", "class Tug:\n    pass\n");
        assertThat(program.type("quay.boats.Tug")).isPresent();
    }
}
