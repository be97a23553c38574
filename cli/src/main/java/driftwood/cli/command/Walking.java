package driftwood.cli.command;

import driftwood.behaviour.Characterization;
import driftwood.behaviour.Confirmation;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.Verdict;
import driftwood.behaviour.slip.Notices;
import driftwood.behaviour.view.Affected;
import driftwood.behaviour.view.Surface;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Progress;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.Paragraph;
import driftwood.cli.render.Style;
import driftwood.cli.render.VerdictsText;
import driftwood.behaviour.tests.Pasted;
import driftwood.history.WorkTree;
import driftwood.plan.Plan;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Refused;
import driftwood.refactor.Walk;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.source.Language;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.apache.commons.cli.CommandLine;

/** Walks the stages of a plan: writes one, compiles, confirms, tests, and goes on only where all is the same. */
final class Walking {
    /** Plans and recordings are written by the walk itself. */
    private static final String OWN = ".driftwood/";
    private static final int CASES = 200;
    /** A recording that notices fewer slips is told to be weak. */
    private static final double WORTH = 0.8;
    private static final int TRIAL_SECONDS = 10;
    private final CommandLine line;
    private final Project project;
    private final Console console;
    private final Plan plan;
    private final Style style;

    Walking(CommandLine line, Project project, Console console, Plan plan) {
        this.line = line;
        this.project = project;
        this.console = console;
        this.plan = plan;
        this.style = new Style(console.colour());
    }

    private String name() {
        return plan.fileName().replace(".json", "");
    }

    /** @throws Refused where files differ from the last commit: a stage that is put back must not take them with it */
    void refuseChanges(Collection<String> files) throws IOException {
        if (line.hasOption("over-changes") && !line.hasOption("commit")) {
            return;
        }
        try (WorkTree tree = WorkTree.of(project.root()).orElse(null)) {
            if (tree == null) {
                if (line.hasOption("commit")) {
                    throw new UsageException("--commit: " + project.root() + " is not under version control.");
                }
                return;
            }
            Set<String> changed = new TreeSet<>(tree.changed());
            changed.removeIf(each -> each.startsWith(OWN) || each.contains("/" + OWN));
            Set<String> unknown = line.hasOption("commit") ? tree.unknown(files) : Set.of();
            if (!unknown.isEmpty()) {
                throw new Refused("--commit: " + String.join(", ", unknown) + (unknown.size() == 1 ? " is" : " are") + " not under version control yet. Add and commit first");
            }
            if (!changed.isEmpty()) {
                throw new Refused("the work tree has changes that are not committed: " + String.join(", ", changed.stream().limit(5).toList())
                        + (changed.size() > 5 ? " and " + (changed.size() - 5) + " more" : "") + ". Commit or stash them"
                        + (line.hasOption("commit") ? "" : ", or add --over-changes"));
            }
        }
    }

    /** Records what the plan must keep, unless a recording of it is there and holds. */
    void pin(Finding finding, Refactoring refactoring, Scan.Result result) {
        if (line.hasOption("compile-only")) {
            return;
        }
        Path known = new Recordings(project.root()).file(name());
        if (Files.exists(known)) {
            Optional<String> trouble = confirmed();
            if (trouble.isPresent()) {
                throw new Refused("the recording of " + name() + " does not hold on the code as it is: " + trouble.get() + ". Record again: remove " + known);
            }
            console.out().println("Pinned: the recording of " + name() + " holds.");
            return;
        }
        // What cannot be called afterwards is no way to make or to prepare an object either.
        Scan.Result kept = result.with(each -> each.isConstructor() ? refactoring.makes(each) : refactoring.keeps(each));
        Surface surface = Affected.of(finding, refactoring, kept.program());
        Language language = Language.ofFileName(finding.file()).orElseThrow();
        Trusting.checkConfigured(line, project);
        console.note("recording what the code does now, in a process of its own...");
        long seconds = (long) Flags.number(line, "trial-time", TRIAL_SECONDS);
        Characterization way = Observed.characterization(line, project, kept, language, console);
        Characterization.Result recorded;
        try (Progress progress = console.progress("trying", "slips")) {
            recorded = way.watched(progress::at).record(name(), List.of(), surface, CASES, Duration.ofSeconds(seconds));
        }
        if (recorded.recording().cases().isEmpty() || !recorded.lacking().isEmpty()) {
            if (line.hasOption("tests")) {
                console.warn("nothing that this plan changes could be recorded; only --tests will confirm it.");
                return;
            }
            throw new Refused("nothing that this plan changes could be recorded" + (recorded.left().isEmpty() ? "" : " (" + recorded.left().get(0) + ")")
                    + ", so nobody would notice a slip. Name the project's tests with --tests COMMAND, or walk with --compile-only");
        }
        Recording made = recorded.recording().ran(CodePath.told(line, project.root()));
        Path saved = new Recordings(project.root()).save(made);
        Trusting.remember(made, project);
        console.out().print(pinned(recorded, saved));
    }

    /** What the recording is worth, in short; the rest is in its file. */
    private String pinned(Characterization.Result recorded, Path saved) {
        String through = String.join(", ", recorded.perTarget().keySet().stream().map(each -> each.replaceFirst("^.*\\.(?=[^.#]*#)", "").replaceFirst("\\(.*", "()")).distinct().limit(6).toList());
        Notices notices = recorded.notices();
        String worth = notices.planted() == 0 ? "" : " It notices " + notices.noticed() + " of " + notices.planted() + " planted slips"
                + (notices.share() < WORTH ? ": what it would miss is listed in it, and only the project's own tests (--tests) could show it." : ".");
        return Paragraph.of(style.strong("Pinned") + ": " + recorded.recording().cases().size() + " cases through " + through + "." + worth, console.width(), 0, 2)
                + Paragraph.of("Saved as " + project.shown(project.root().relativize(saved).toString()), console.width(), 0, 2);
    }

    /** The stages that are left. */
    ExitCode walk(Walk begun) throws IOException, Walk.Disturbed {
        Walk walk = begun;
        int until = line.hasOption("until") ? (int) Flags.number(line, "until", walk.stages(), 1) : walk.stages();
        while (walk.done() < Math.min(until, walk.stages())) {
            int stage = walk.done();
            console.out().println("\n" + style.strong("Stage " + (stage + 1) + " of " + walk.stages()) + ": " + Style.safe(walk.does(stage)));
            walk = walk.write();
            Optional<String> trouble = checked(walk.isMeant(stage));
            if (trouble.isPresent()) {
                return putBack(walk, trouble.get());
            }
            walk = walk.accept();
            console.out().print(Paragraph.of(style.cool(line.hasOption("compile-only") ? "compiles" : "same") + committed(walk, stage) + ": "
                    + String.join(", ", walk.files(stage).stream().map(project::shown).toList()), console.width(), 2, 4));
            Plans.save(plan.done(walk.done()), project);
        }
        if (walk.done() < walk.stages()) {
            console.out().println("\nStopped after stage " + walk.done() + " of " + walk.stages() + ". Go on: driftwood refactor --resume" + project.option());
            return ExitCode.FINE;
        }
        walk.end();
        console.out().println("\nCarried out: " + walk.stages() + (walk.stages() == 1 ? " stage. " : " stages. ") + "Next: driftwood scan" + project.option());
        return ExitCode.FINE;
    }

    private ExitCode putBack(Walk walk, String trouble) throws IOException, Walk.Disturbed {
        Walk before = walk.rollBack();
        int stage = before.done() + 1;
        if (before.done() == 0) {
            before.end();
        }
        console.err().println("driftwood: stage " + stage + " was put back: " + trouble + ". "
                + (before.done() == 0 ? "The sources are as they were." : before.done() + " of " + before.stages() + " stages stand; driftwood refactor --end"
                + project.option() + " leaves it there."));
        return ExitCode.ACT;
    }

    private Optional<String> checked(boolean meant) throws IOException {
        boolean recorded = !line.hasOption("compile-only") && Files.exists(new Recordings(project.root()).file(name()));
        Optional<String> trouble = !recorded ? compiled() : meant ? changedAsMeant() : confirmed();
        if (trouble.isPresent() || !line.hasOption("tests")) {
            return trouble;
        }
        Optional<Integer> tests = ConfirmCommand.tests(line, project, console);
        return tests.filter(code -> code != 0).map(code -> "the project's own tests end with " + code + " (" + line.getOptionValue("tests") + ")");
    }

    /** What differs is told and recorded anew where the user said that it is meant. */
    private Optional<String> changedAsMeant() throws IOException {
        List<Recording> wanted = ConfirmCommand.recordings(List.of(name()), project.root());
        try {
            Map<Recording, List<Verdict>> verdicts = ConfirmCommand.confirmed(line, wanted, project, console.quietly());
            List<Verdict> other = verdicts.values().stream().flatMap(List::stream).filter(each -> each.kind() != Verdict.Kind.SAME).toList();
            if (other.isEmpty()) {
                return Optional.empty();
            }
            console.err().print(new VerdictsText(new Style(false), console.width(), new Pasted(() -> project.link(console.quietly()).program())).of(verdicts, Optional.empty()));
            if (!line.hasOption("meant")) {
                return Optional.of(other.size() + " recorded cases differ. This stage is there to change that (" + String.join("; ", plan.meant())
                        + "): where it is what you want, walk with --meant");
            }
            Recording before = wanted.get(0);
            Confirmation again = ConfirmCommand.confirmation(line, before, project, console.quietly());
            List<Recording.Case> cases = new ArrayList<>();
            for (Verdict each : verdicts.get(before)) {
                if (each.kind() == Verdict.Kind.SAME) {
                    cases.add(each.of());
                } else if (each.kind() != Verdict.Kind.GONE) {
                    cases.add(again.fresh(before.only(List.of(each.of().id())), each));
                }
            }
            new Recordings(project.root()).save(before.with(cases));
            console.out().println("  " + other.size() + " recorded cases differ, as the plan means; they are recorded anew.");
            return Optional.empty();
        } catch (UsageException e) {
            return Optional.of(e.getMessage().strip());
        }
    }

    private Optional<String> compiled() {
        try {
            Scan.Result result = project.link(console.quietly());
            new CodePath(result, project.settings().classPath(), console.quietly()).homes(CodePath.told(line, project.root()));
            return Optional.empty();
        } catch (UsageException e) {
            return Optional.of(e.getMessage().strip());
        }
    }

    /** What is not the same; empty where all is. */
    private Optional<String> confirmed() {
        try {
            List<Recording> wanted = ConfirmCommand.recordings(List.of(name()), project.root());
            Trusting.check(line, wanted, project);
            Map<Recording, List<Verdict>> verdicts = ConfirmCommand.confirmed(line, wanted, project, console.quietly());
            List<Verdict> other = new ArrayList<>(verdicts.values().stream().flatMap(List::stream).filter(each -> each.kind() != Verdict.Kind.SAME).toList());
            if (other.isEmpty()) {
                return Optional.empty();
            }
            console.err().print(new VerdictsText(new Style(false), console.width(), new Pasted(() -> project.link(console.quietly()).program()))
                    .of(verdicts, Optional.empty()));
            return Optional.of(other.size() + " of " + verdicts.values().stream().mapToInt(List::size).sum() + " recorded cases are not the same");
        } catch (UsageException e) {
            return Optional.of(e.getMessage().strip());
        }
    }

    private String committed(Walk walk, int stage) throws IOException {
        if (!line.hasOption("commit")) {
            return "";
        }
        try (WorkTree tree = WorkTree.of(project.root()).orElseThrow(() -> new IOException(project.root() + " is not under version control"))) {
            return ", committed as " + tree.commit(walk.files(stage), new StageMessage(plan, !line.hasOption("compile-only"))
                    .of(walk.does(stage), stage, walk.stages(), walk.isMeant(stage)));
        }
    }
}
