package driftwood.behaviour;

import driftwood.program.FieldOutline;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.tree.RoutineKind;
import java.util.List;

/**
 * Which attributes of a Python class are part of what its clients see. Every attribute without an underscore can be read;
 * those count that a data class declares, those that other code of the project does read, and those of a class that has
 * nothing else to be asked: it is there for them.
 */
final class PythonFields {
    private final Program program;
    private final AttributesRead read;

    PythonFields(Program program, AttributesRead read) {
        this.program = program;
        this.read = read;
    }

    List<String> asked(TypeOutline type) {
        boolean declared = type.traits().isAnnotated("dataclass") || program.parents(type).isEmpty()
                && type.routines().stream().noneMatch(each -> each.kind() == RoutineKind.METHOD && !each.name().startsWith("_"));
        return type.fields().stream().filter(each -> !each.traits().isStatic()
                && (declared || read.outside(each.name(), type))).map(FieldOutline::name)
                .filter(each -> !each.startsWith("_")).toList();
    }
}
