package driftwood.behaviour.run;

import driftwood.behaviour.build.Homes;
import driftwood.behaviour.process.Launch;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.replay.Assembly.CannotMake;
import driftwood.behaviour.replay.Scripts;
import driftwood.behaviour.view.Queries;
import driftwood.behaviour.view.Ways;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.store.Scratch;
import driftwood.witness.Asking.Manner;
import driftwood.witness.Inquiry;
import driftwood.witness.Script;
import driftwood.witness.Wire;
import java.io.BufferedOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.io.FileUtils;

/** Finds out in a process of its own which candidates are queries. */
final class Inquiries {
    /** States to ask in; more tell little more. */
    private static final int MOST = 240;
    private static final long MILLIS = 60_000;
    private static final long CASE_MILLIS = 300;

    private final Program program;
    private final Homes homes;
    private final Limits limits;

    Inquiries(Program program, Homes homes, Limits limits) {
        this.program = program;
        this.homes = homes;
        this.limits = limits;
    }

    /** Those of the candidates that were asked in some case and are queries; all of them where it could not be found out. */
    Queries of(List<Case> cases, Queries candidates) {
        List<Script> scripts = scripts(cases);
        if (scripts.isEmpty() || candidates.byType().isEmpty()) {
            return new Queries(Map.of(), candidates.types());
        }
        try {
            Path folder = Scratch.folder("inquiry");
            try {
                return asked(scripts, candidates, folder);
            } finally {
                FileUtils.deleteQuietly(folder.toFile());
            }
        } catch (IOException e) {
            throw new UncheckedIOException("cannot run the observed code", e);
        }
    }

    /** Evenly from all cases, so that every routine has its share. */
    private List<Script> scripts(List<Case> cases) {
        Scripts making = new Scripts(program);
        List<Script> scripts = new ArrayList<>();
        double step = Math.max(1.0, cases.size() / (double) MOST);
        for (double at = 0; at < cases.size(); at += step) {
            try {
                scripts.add(making.of(cases.get((int) at).named("q")));
            } catch (CannotMake e) {
                continue;
            }
        }
        return scripts;
    }

    private Queries asked(List<Script> scripts, Queries candidates, Path folder) throws IOException {
        Path in = folder.resolve("scripts");
        Path out = Files.write(folder.resolve("answers"), new byte[0]);
        try (DataOutputStream to = new DataOutputStream(new BufferedOutputStream(Files.newOutputStream(in)))) {
            Wire.write(to, candidates.asking(program, homes, Manner.ALONG), scripts);
        }
        List<String> arguments = new ArrayList<>(List.of(in.toString(), out.toString(),
                Long.toString(Math.min(CASE_MILLIS, limits.caseMillis()))));
        homes.path().forEach(each -> arguments.add(each.toAbsolutePath().toString()));
        // driftwood: leave hard-coded-instantiation because starting the process is what an inquiry is
        new Launch(folder, List.of(), limits).run(Inquiry.class.getName(), arguments, List.of(), MILLIS);
        Map<String, String> names = new HashMap<>();
        Ways ways = new Ways(program);
        for (String each : candidates.byType().keySet()) {
            names.put(program.type(each).map(ways::binaryName).orElse(each), each);
        }
        return told(Files.readAllLines(out), names, candidates);
    }

    /** Where one declares a query and another says again that it has it, both are asked or none. */
    private Queries told(List<String> lines, Map<String, String> names, Queries candidates) {
        List<String> queries = new ArrayList<>();
        List<String> commands = new ArrayList<>();
        for (String line : lines) {
            String[] words = line.split(" ", 3);
            String type = names.getOrDefault(words[1], words[1].replace('$', '.'));
            (words[0].equals("query") ? queries : commands).add(type + " " + words[2]);
        }
        List<String> all = new ArrayList<>();
        for (String type : candidates.byType().keySet()) {
            for (String name : candidates.byType().get(type)) {
                List<String> family = family(type, name);
                if (family.stream().anyMatch(queries::contains) && family.stream().noneMatch(commands::contains)) {
                    all.add(type + " " + name);
                }
            }
        }
        return candidates.only(all);
    }

    private List<String> family(String type, String name) {
        List<String> family = new ArrayList<>(List.of(type + " " + name));
        program.type(type).ifPresent(found -> {
            for (TypeOutline each : program.ancestors(found)) {
                family.add(each.name() + " " + name);
            }
            for (TypeOutline each : program.descendants(found)) {
                family.add(each.name() + " " + name);
            }
        });
        return family;
    }
}
