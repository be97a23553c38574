package driftwood.refactor.python;

import driftwood.refactor.Refused;
import driftwood.refactor.Stage;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Names;
import driftwood.read.sitter.Cst;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * Reads what stands after each stage: every file is understood, and no name is read in it that nothing gives.
 *
 * @param texts before the first stage, by relative path
 */
record Standing(Map<String, String> texts) {

    /** @throws Refused where a stage leaves what could not be run */
    void check(List<Stage> stages) {
        for (Stage stage : stages) {
            stage.files().forEach((file, text) -> text.ifPresent(now -> check(stage, file, now)));
        }
    }

    private void check(Stage stage, String file, String now) {
        Module after = new Module(file, now, false);
        if (!after.isSound()) {
            throw new Refused("'" + stage.does() + "' would leave " + file + " with wrong syntax");
        }
        Set<String> lost = unknown(after);
        if (texts.containsKey(file)) {
            lost.removeAll(unknown(new Module(file, texts.get(file), false)));
        } else {
            lost.removeIf(each -> BuiltIn.names().contains(each));
        }
        if (!lost.isEmpty()) {
            throw new Refused("'" + stage.does() + "' would leave " + file + " with names that nothing there gives: " + String.join(", ", lost));
        }
    }

    /** Names that are read in a file and bound nowhere in it. */
    private static Set<String> unknown(Module module) {
        Set<String> read = new TreeSet<>(Names.of(module, module.root().inner()).read());
        for (Cst each : Module.all(module.root(), "import_from_statement")) {
            if (each.inner().stream().anyMatch(name -> name.is("wildcard_import"))) {
                return new TreeSet<>();
            }
        }
        read.removeAll(Names.of(module, module.root().inner()).bound());
        read.removeIf(BuiltIn.names()::contains);
        return read;
    }
}
