package driftwood.behaviour.run;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Whether a case names only what is the project's own. Where names are found by importing, one that came with a repository
 * could otherwise lead anywhere: {@code os#system}, or {@code quay.office#system} where that module imports it.
 */
final class OwnNames {
    /** Values of the platform that are made from their text. */
    private static final Set<String> VALUES = Set.of("datetime.date", "datetime.datetime", "datetime.time", "decimal.Decimal", "fractions.Fraction",
            "uuid.UUID", "pathlib.Path", "pathlib.PurePath", "pathlib.PosixPath", "pathlib.PurePosixPath", "pathlib.WindowsPath",
            "pathlib.PureWindowsPath");

    private final Program program;

    OwnNames(Program program) {
        this.program = program;
    }

    /** Why a case is not run; empty where it may be. */
    Optional<String> refused(Case each) {
        Optional<TypeOutline> owner = program.type(each.owner());
        if (owner.isEmpty()) {
            return Optional.of("there is no " + each.owner() + " in this project any more");
        }
        if (owner.get().isModule() && owner.get().routines().stream().map(RoutineOutline::name).noneMatch(each.member()::equals)) {
            return Optional.of(each.owner() + " has no routine " + each.member() + " of its own any more");
        }
        List<JsonNode> values = new ArrayList<>();
        values.add(each.on());
        values.add(each.given());
        for (Step step : each.steps()) {
            values.add(step.make());
            values.add(step.given());
        }
        return values.stream().filter(value -> value != null).flatMap(value -> types(value).stream()).filter(name -> !isOwn(name)).findFirst()
                .map(name -> "there is no " + name + " in this project, and a case makes only what is the project's own");
    }

    private boolean isOwn(String type) {
        return VALUES.contains(type) || program.type(type).filter(each -> !each.isModule()).isPresent();
    }

    private static List<String> types(JsonNode value) {
        List<String> types = new ArrayList<>();
        value.findValues("is").stream().filter(JsonNode::isTextual).forEach(each -> types.add(each.asText()));
        value.findValues("enum").stream().filter(JsonNode::isTextual)
                .forEach(each -> types.add(each.asText().substring(0, Math.max(0, each.asText().lastIndexOf('.')))));
        return types;
    }
}
