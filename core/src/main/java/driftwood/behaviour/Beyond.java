package driftwood.behaviour;

import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.view.Commands;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What a recording asks for beyond the code of its project: it may have come with a repository that somebody cloned. */
public final class Beyond {
    private Beyond() {
    }

    /** Commands, environments, interpreters and classes from elsewhere, each in words; none where only the project's own code runs. */
    public static List<String> of(Recording recording, Path root) {
        Set<String> all = new LinkedHashSet<>();
        for (Case each : recording.cases()) {
            if (each.routine().startsWith(Programs.MARK) && each.given() != null) {
                all.add("run the command: " + each.given().path("command").asText());
                each.given().path("environment").properties().forEach(one -> all.add("with " + one.getKey() + "=" + one.getValue().asText()));
            }
        }
        Recording.Ran ran = recording.ran();
        if (ran != null) {
            if (ran.interpreter() != null) {
                all.add("start the interpreter: " + ran.interpreter());
            }
            Stream.of(ran.classes(), ran.classpath()).filter(each -> each != null).flatMap(List::stream)
                    .forEach(each -> outside(each, root).ifPresent(all::add));
        }
        return List.copyOf(all);
    }

    /** Classes from outside the project, in words; empty where they are in it. */
    public static Optional<String> outside(String path, Path root) {
        Path whole = root.resolve(path).toAbsolutePath().normalize();
        return whole.startsWith(root.toAbsolutePath().normalize()) ? Optional.empty() : Optional.of("load classes from " + whole);
    }
}
