package driftwood.behaviour.view;

import driftwood.program.FieldOutline;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.source.Language;
import driftwood.tree.Mark;
import driftwood.tree.RoutineKind;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * Which attributes of a Python class are part of what its clients see. Every attribute without an underscore can be read;
 * those count that a data class declares, those that other code of the project does read, and those of a class that has
 * nothing else to be asked: it is there for them.
 */
final class PythonFields {
    private final Program program;
    private final Path root;
    /** Made when it is first asked for: a project without Python needs none. */
    private Optional<AttributesRead> read = Optional.empty();

    /** @param root of the project */
    PythonFields(Program program, Path root) {
        this.program = program;
        this.root = root;
    }

    private boolean isRead(String name, TypeOutline type) {
        Language language = program.fileOf(type).language();
        if (read.isEmpty()) {
            read = Optional.of(AttributesRead.in(program, root, language));
        }
        return read.get().outside(name, type);
    }

    List<String> asked(TypeOutline type) {
        boolean declared = type.traits().has(Mark.DATA) || program.parents(type).isEmpty()
                && type.routines().stream().noneMatch(each -> each.kind() == RoutineKind.METHOD && !each.name().startsWith("_"));
        return type.fields().stream().filter(each -> !each.traits().isStatic()
                && (declared || isRead(each.name(), type))).map(FieldOutline::name)
                .filter(each -> !each.startsWith("_")).toList();
    }
}
