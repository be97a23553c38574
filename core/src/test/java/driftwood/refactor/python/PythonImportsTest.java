package driftwood.refactor.python;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Imports;
import driftwood.refactor.python.ground.Modules;
import driftwood.scan.Scan;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Names are made known where they are needed, and circles are not closed. */
class PythonImportsTest {
    @TempDir
    Path root;

    private Script script;
    private Modules modules;

    private Imports given(Map<String, String> files) throws IOException {
        for (Map.Entry<String, String> each : files.entrySet()) {
            Path file = root.resolve(each.getKey());
            Files.createDirectories(file.getParent());
            Files.writeString(file, each.getValue());
        }
        Scan.Result result = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root));
        modules = new Modules(result.site());
        script = new Script(modules.texts());
        script.stage("Import", List.of());
        return new Imports(new Draft(null, result.program(), modules, script, Map.of()));
    }

    private String after(String file) {
        return script.stages().get(0).files().get(file).orElseThrow();
    }

    @Test
    void aNameJoinsTheImportOfItsModule() throws IOException {
        Imports imports = given(Map.of("quay/desk.py", "import os\nfrom quay.dues import Dues\n\nx = 1\n", "quay/dues.py", "class Dues:\n    pass\n"));
        imports.know("quay.dues", "Terms", modules.module("quay/desk.py"));
        assertThat(after("quay/desk.py")).startsWith("import os\nfrom quay.dues import Dues, Terms\n");
    }

    @Test
    void aNewModuleComesByTheAlphabet() throws IOException {
        Imports imports = given(Map.of("desk.py", "\"\"\"Desk.\"\"\"\nfrom __future__ import annotations\n\nimport os\nfrom typing import List\n\nx = 1\n"));
        imports.add("from dataclasses import dataclass", modules.module("desk.py"));
        assertThat(after("desk.py")).contains("import os\nfrom dataclasses import dataclass\nfrom typing import List\n");
    }

    @Test
    void aFileWithoutImportsBeginsWithIt() throws IOException {
        Imports imports = given(Map.of("desk.py", "\"\"\"Desk.\"\"\"\n\n# The desk.\nclass Desk:\n    pass\n"));
        imports.add("import math", modules.module("desk.py"));
        assertThat(after("desk.py")).isEqualTo("\"\"\"Desk.\"\"\"\n\nimport math\n\n\n# The desk.\nclass Desk:\n    pass\n");
    }

    @Test
    void whatMovedCodeNeedsIsCarriedAlong() throws IOException {
        Imports imports = given(Map.of("quay/a.py", "import math\nfrom .c import rate as base\nfrom quay.b import Ship\n", "quay/b.py", "class Ship:\n    pass\n", "quay/c.py", "rate = 1\n"));
        imports.carry(Set.of("math", "base", "len"), modules.module("quay/a.py"), modules.module("quay/b.py"));
        assertThat(after("quay/b.py")).contains("import math\n").contains("from quay.c import rate as base\n").doesNotContain("len");
    }

    @Test
    void aCircleIsRefused() throws IOException {
        Imports imports = given(Map.of("quay/a.py", "from quay.c import rate\nfrom quay.b import Ship\n", "quay/b.py", "class Ship:\n    pass\n", "quay/c.py", "from quay.b import Ship\nrate = 1\n"));
        assertThatThrownBy(() -> imports.carry(Set.of("rate"), modules.module("quay/a.py"), modules.module("quay/b.py"))).isInstanceOf(Refused.class)
                .hasMessageContaining("would import each other");
        assertThatThrownBy(() -> imports.know("quay.a", "anything", modules.module("quay/b.py"))).hasMessageContaining("would import each other");
    }
}
