package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.Recording.Case;
import driftwood.behaviour.Recording.Step;
import driftwood.program.Program;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What a recording asks for beyond the code of its project: it may have come with a repository that somebody cloned. */
public final class Beyond {
    /** What starts processes, opens files and connections, or loads code. */
    private static final Pattern POWERFUL = Pattern.compile("java\\.lang\\.(Process.*|Runtime.*|Thread.*|ClassLoader|Module.*|System|Shutdown"
            + "|SecurityManager|(reflect|invoke|foreign|instrument|management|module)\\..*)"
            + "|java\\.io\\.(File(InputStream|OutputStream|Reader|Writer)|RandomAccessFile|PrintStream|PrintWriter|ObjectInputStream|Console)"
            + "|java\\.nio\\.(file\\.(?!Path$).*|channels\\..*)|java\\.net\\.(?!URI$).*"
            + "|java\\.util\\.((jar|zip|logging|prefs)\\..*|ServiceLoader|Timer)"
            + "|java\\.(rmi|sql|beans)\\..*|java\\.awt\\.(Desktop|Robot)|javax\\.(script|management|naming|tools|sql|net|rmi|security)\\..*"
            + "|(sun|com\\.sun|jdk)\\..*");
    private static final Pattern PLATFORM = Pattern.compile("(java|javax|sun|com\\.sun|jdk)\\..*");
    private static final List<String> NAMING = List.of("is", "by");

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

    /** Why a case must not be run: it names what is not the project's. Empty where it may. */
    static Optional<String> refused(Case each, Program program) {
        String owner = each.owner();
        if (program.type(owner.replace('$', '.')).isEmpty() && PLATFORM.matcher(owner).matches()) {
            return Optional.of(owner + " is not a type of this project: a recording may only call the project's own code");
        }
        List<JsonNode> values = new ArrayList<>();
        values.add(each.on());
        values.add(each.given());
        for (Step step : each.steps()) {
            values.add(step.make());
            values.add(step.given());
        }
        return values.stream().filter(value -> value != null).flatMap(value -> named(value).stream())
                .filter(name -> isPowerful(name, program)).findFirst()
                .map(name -> name + " reaches outside the project: a recording may not make one");
    }

    /** Whether objects of a type can start processes, open files or load code. @param name qualified, perhaps with a routine */
    static boolean isPowerful(String name) {
        return POWERFUL.matcher(name).matches();
    }

    private static boolean isPowerful(String name, Program program) {
        String type = name.replaceAll("#.*", "");
        return isPowerful(type) && program.type(type.replace('$', '.')).isEmpty();
    }

    private static List<String> named(JsonNode value) {
        List<String> names = new ArrayList<>();
        for (String key : NAMING) {
            value.findValues(key).stream().filter(JsonNode::isTextual).forEach(each -> names.add(each.asText()));
        }
        return names;
    }
}
