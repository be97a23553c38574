package driftwood.refactor.python;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.Stage;
import driftwood.refactor.python.ground.Modules;
import driftwood.scan.Scan;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Imports that a refactoring leaves without use go; all others stay. */
class UnusedTest {
    @TempDir
    Path root;

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            from dues import Tug\\n\\nx = Tug()          | x = 1               | x = 1
            from dues import Tug, Yacht\\n\\nx = Tug(Yacht) | x = Yacht          | from dues import Yacht\\n\\nx = Yacht
            from dues import Tug, Yacht\\n\\nx = Tug(Yacht) | x = Tug            | from dues import Tug\\n\\nx = Tug
            import math\\nimport dues\\n\\nx = math.pi, dues | x = dues           | import dues\\n\\nx = dues
            from dues import Tug as Puller\\n\\nx = Puller | x = 2               | x = 2
            from dues import Idle\\n\\nx = 3               | x = 4               | from dues import Idle\\n\\nx = 4
            from dues import Shown\\n\\nx = Shown          | x = 5               | from dues import Shown\\n\\nx = 5
            from dues import (\\n  Tug,\\n  Yacht,\\n)\\n\\nx = Tug(Yacht) | x = Tug | from dues import (\\n  Tug,\\n)\\n\\nx = Tug
            """)
    void whatIsLeftWithoutUseGoes(String before, String line, String after) throws IOException {
        String text = before.replace("\\n", "\n") + "\n";
        Files.writeString(root.resolve("desk.py"), text);
        Files.writeString(root.resolve("dues.py"), "class Tug: pass\nclass Yacht: pass\nclass Idle: pass\nclass Shown: pass\n");
        Files.writeString(root.resolve("all.py"), "from desk import Shown\n");
        Scan.Result result = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root));
        String now = text.substring(0, text.indexOf("x = ")) + line + "\n";
        List<Stage> stages = new Unused(new Modules(result.site())).without(List.of(new Stage("Do it", List.of(), Map.of("desk.py", Optional.of(now)), false)));
        assertThat(stages.get(0).files().get("desk.py").orElseThrow()).isEqualTo(after.replace("\\n", "\n") + "\n");
    }
}
