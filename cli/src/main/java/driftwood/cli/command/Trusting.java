package driftwood.cli.command;

import driftwood.behaviour.Beyond;
import driftwood.behaviour.recording.Recording;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.Style;
import driftwood.store.Trust;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Option;

/** Recordings that somebody else made run nothing but the project's own code before the user allowed it. */
final class Trusting {
    private Trusting() {
    }

    static Option option() {
        return Flags.flag("trust", "allow what the recordings run or load beside the project's own code; remembered for this user");
    }

    /** @throws UsageException where a recording would run or load what this user did not allow yet */
    static void check(CommandLine line, List<Recording> recordings, Project project) {
        List<String> asked = new ArrayList<>();
        for (Recording each : recordings) {
            ask(line, "the recording " + each.of(), beyond(each, project), project, asked);
        }
        refuse(asked, project);
    }

    /** @throws UsageException where driftwood.yaml would load what this user did not allow yet */
    static void checkConfigured(CommandLine line, Project project) {
        List<String> asked = new ArrayList<>();
        if (!line.hasOption("classpath")) {
            ask(line, "driftwood.yaml", configured(project), project, asked);
        }
        refuse(asked, project);
    }

    private static void ask(CommandLine line, String who, List<String> what, Project project, List<String> asked) {
        Trust trust = new Trust();
        if (line.hasOption("trust")) {
            trust.remember(project.root(), what);
        } else if (!trust.has(project.root(), what)) {
            asked.add(who + " would");
            what.forEach(one -> asked.add("  " + Style.safe(one)));
        }
    }

    private static void refuse(List<String> asked, Project project) {
        if (!asked.isEmpty()) {
            throw new UsageException("this is more than the project's own code, and was not recorded by you on this machine:\n  "
                    + String.join("\n  ", asked) + "\nNothing was run. Where you want it, add --trust: it is remembered for just this content in "
                    + project.root() + ".");
        }
    }

    /** What the user has just recorded is what the user wants. */
    static void remember(Recording recording, Project project) {
        new Trust().remember(project.root(), beyond(recording, project));
    }

    private static List<String> beyond(Recording recording, Project project) {
        List<String> all = new ArrayList<>(Beyond.of(recording, project.root()));
        boolean told = recording.ran() != null && recording.ran().classpath() != null && !recording.ran().classpath().isEmpty();
        if (!told) {
            all.addAll(configured(project));
        }
        return all;
    }

    private static List<String> configured(Project project) {
        return project.settings().classPath().stream().flatMap(each -> Beyond.outside(each, project.root()).stream()).toList();
    }
}
