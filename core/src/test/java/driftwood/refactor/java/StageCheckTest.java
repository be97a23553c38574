package driftwood.refactor.java;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.read.java.Compilation;
import driftwood.refactor.Refused;
import driftwood.refactor.Stage;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What stands after each stage is compiled, and what was wrong before is nobody's fault. */
class StageCheckTest {
    private static final String QUAY = "class Quay { int depth() { return 3; } }";
    private static final String USER = "class User { int all() { return new Quay().depth(); } }";

    private static Stage stage(String does, String... files) {
        Map<String, Optional<String>> texts = new LinkedHashMap<>();
        for (int i = 0; i < files.length; i += 2) {
            texts.put(files[i], Optional.ofNullable(files[i + 1]));
        }
        return new Stage(does, List.of(), texts, false);
    }

    private static void check(Map<String, String> texts, Stage... stages) {
        new StageCheck(Set.of(), List.of(), texts, Compilation.of(texts, Set.of(), List.of()).troubles()).of(List.of(stages));
    }

    private static Map<String, String> project() {
        return new LinkedHashMap<>(Map.of("Quay.java", QUAY, "User.java", USER));
    }

    @Test
    void stagesThatCompilePass() {
        assertThatCode(() -> check(project(), stage("Add sound()", "Quay.java", QUAY.replace("; } }", "; } int sound() { return 3; } }")),
                stage("Ask it", "User.java", USER.replace("depth()", "sound()")))).doesNotThrowAnyException();
    }

    @Test
    void theFirstStageThatDoesNotIsNamed() {
        Stage good = stage("Say four", "Quay.java", QUAY.replace("3", "4"));
        Stage bad = stage("Take depth() away", "Quay.java", "class Quay { }");
        Stage worse = stage("Break it", "User.java", "class User {");
        assertThatThrownBy(() -> check(project(), good, bad, worse)).isInstanceOf(Refused.class)
                .hasMessageContaining("it would not compile after 'Take depth() away' (User.java:1: cannot find symbol");
    }

    @Test
    void aFileThatAStageTakesAwayIsGoneInTheNext() {
        assertThatThrownBy(() -> check(project(), stage("Remove Quay", "Quay.java", null))).hasMessageContaining("after 'Remove Quay' (User.java:1");
    }

    @Test
    void errorsThatWereThereBeforeAreNotTheStages() {
        Map<String, String> texts = project();
        texts.put("Old.java", "class Old { Absent absent; }");
        assertThatCode(() -> check(texts, stage("Say four", "Quay.java", QUAY.replace("3", "4")))).doesNotThrowAnyException();
        assertThatThrownBy(() -> check(texts, stage("Add one more", "Old.java", "class Old { Absent absent; Absent more; }"))).hasMessageContaining("Add one more");
    }

    @Test
    void deepExpressionsAreNoTrouble() {
        String deep = "class Deep { int sum() { return " + "(".repeat(1500) + "1" + ")".repeat(1500) + "; } }";
        assertThatCode(() -> check(project(), stage("Add Deep", "Deep.java", deep))).doesNotThrowAnyException();
    }
}
